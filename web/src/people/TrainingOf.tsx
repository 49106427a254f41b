import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useNames, useProtocolName } from '../field/boxes';
import { nowLocal } from '../field/clock';
import { plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';

const DATE = 10;
const AUDITS_SHOWN = 10;

/** What somebody was trained in, when and by whom, and how their visits were audited. It certifies nothing. */
export function TrainingOf({ person }: { person: Schemas['PersonInfo'] }) {
  const path = { id: person.id };
  const record = usePulled(() => api.GET('/api/people/{id}/training', { params: { path } }));
  const protocolName = useProtocolName();
  const protocols = useNames('plan.protocol');
  const today = nowLocal().slice(0, DATE);
  const [given, setGiven] = useState<Schemas['Trained']>({ what: 'clarity', on: today, by: '' });
  const [problem, setProblem] = useState('');
  const change = (part: Partial<Schemas['Trained']>) => setGiven({ ...given, ...part });

  async function does(call: () => ReturnType<typeof asked>) {
    setProblem((await call()).problem);
    await record.again();
  }

  return (
    <section className="mb-6" aria-label={`Training of ${person.name}`}>
      <h3 className="text-lg">Training</h3>
      <p className="text-dim text-sm">What was shown and practised; it certifies nothing.</p>
      <Problem words={record.problem || problem} />
      <ul className="mt-2 border-rule border-t">
        {record.data?.trainings.map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-x-4 border-rule border-b py-1">
            <span className="min-w-0 flex-1">
              <b>{protocolName(one.what)}</b>, {plainDay(one.on)}, by {one.by}
            </span>
            <button
              type="button"
              className="act-quiet text-sm"
              aria-label={`Take ${protocolName(one.what)} of ${plainDay(one.on)} away`}
              onClick={() =>
                void does(() =>
                  asked(() =>
                    api.DELETE('/api/people/{id}/training/{training}', {
                      params: { path: { ...path, training: one.id } },
                    }),
                  ),
                )
              }
            >
              a mistake: take it away
            </button>
          </li>
        ))}
        {record.data?.trainings.length === 0 && <li className="border-rule border-b py-1 text-dim">None is written down.</li>}
      </ul>
      <form
        className="flex flex-wrap items-end gap-x-4"
        onSubmit={(event) => {
          event.preventDefault();
          void does(() => asked(() => api.POST('/api/people/{id}/training', { params: { path }, body: given })));
        }}
      >
        <SelectField label="Trained in" value={given.what} options={protocols} onChange={(what) => change({ what })} />
        <TextField label="On" type="date" value={given.on} onChange={(on) => change({ on })} />
        <TextField label="By whom" value={given.by} maxLength={100} onChange={(by) => change({ by })} />
        <button type="submit" className="act mt-3" disabled={!given.by.trim() || !given.on}>
          Write it down
        </button>
      </form>
      {(record.data?.audits.length ?? 0) > 0 && (
        <>
          <h3 className="mt-4 text-lg">Self-audits of their visits</h3>
          <ul className="mt-1 border-rule border-t">
            {record.data?.audits.slice(0, AUDITS_SHOWN).map((audit) => (
              <li key={audit.visit} className="border-rule border-b py-1">
                <Link to="/review/$visit" params={{ visit: audit.visit }}>
                  {audit.station}, {plainDay(audit.day)}
                </Link>
                : <b className="num">{audit.text}</b> done
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

import { Link } from '@tanstack/react-router';
import { X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { useProtocolName } from '../field/boxes';
import { shortDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import type { Chosen } from './SeasonPage';
import type { SeasonView } from './season';

const REASONS = ['weather', 'nobody can go', 'boat not free', 'lab asks'];

interface Props {
  view: SeasonView;
  chosen: Chosen;
  onClose(): void;
  onChanged(): void;
}

/** One date: why that day, its alternate, and the way to move it; what would change is shown before it is kept. */
export function DatePanel({ view, chosen, onClose, onChanged }: Props) {
  const protocolName = useProtocolName();
  const index = view.plan.stations.findIndex((plan) => plan.code === chosen.station);
  const station = view.stations[index];
  const date = view.plan.stations[index]?.dates.find((d) => d.day === chosen.day);
  const [to, setTo] = useState('');
  const [why, setWhy] = useState('');
  const [shown, setShown] = useState<Schemas['ReplanAnswer']>();
  const [problem, setProblem] = useState('');
  const heading = useRef<HTMLHeadingElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another date begins anew
  useEffect(() => {
    setTo('');
    setWhy('');
    setShown(undefined);
    setProblem('');
    heading.current?.focus();
  }, [chosen.station, chosen.day]);
  if (!station || !date) {
    return null;
  }
  const pins = view.set.filter((d) => d.station === chosen.station && d.day === chosen.day && d.kind === 'Pinned');

  const changeTo = (day: string) => {
    setTo(day);
    setShown(undefined);
  };
  const changeWhy = (text: string) => {
    setWhy(text);
    setShown(undefined);
  };

  async function ask(keep: boolean) {
    const { data, problem: refused } = await asked(() =>
      api.POST('/api/season/move', { body: { station: chosen.station, from: chosen.day, to: to || null, why, keep } }),
    );
    setProblem(refused);
    setShown(data);
    if (data?.kept) {
      onChanged();
      onClose();
    }
  }

  return (
    <section
      aria-label={`${station.station.water}, ${shortDay(date.day)}`}
      className="sticky bottom-0 z-10 mt-5 panel shadow-lg max-sm:-mx-2"
    >
      <div className="flex items-start gap-3">
        <div className="min-w-0 flex-1">
          <h2 ref={heading} tabIndex={-1} className="text-xl outline-none">
            {shortDay(date.day)}: {station.station.water}, {station.station.name}
          </h2>
          <p className="text-dim">
            {date.protocols.map((protocol) => protocolName(protocol)).join(', ')}
            {date.state === 'done' && ' · done'}
            {date.state === 'missed' && ' · missed'}
            {date.alternate && ` · or ${shortDay(date.alternate)}`}
          </p>
        </div>
        <button type="button" className="flex size-11 items-center justify-center" aria-label="Close" onClick={onClose}>
          <X size={20} aria-hidden="true" />
        </button>
      </div>
      {date.why.length + date.welcome.length > 0 && (
        <ul className="mt-2 grid gap-x-8 text-[0.95rem] sm:grid-cols-2">
          {[...date.why, ...date.welcome].map((reason) => (
            <li key={reason}>· {reason}</li>
          ))}
        </ul>
      )}
      {date.state === 'done' && (
        <p className="mt-2">
          <Link to="/record/$station" params={{ station: chosen.station }}>
            See it in the record
          </Link>
        </p>
      )}
      {date.ahead && station.mayMove && (
        <form
          className="mt-3 border-rule border-t pt-2"
          onSubmit={(event) => {
            event.preventDefault();
            void ask(Boolean(shown));
          }}
        >
          <div className="grid items-start gap-x-5 sm:grid-cols-[12rem_1fr]">
            <div>
              <TextField label="Go instead on" type="date" value={to} onChange={changeTo} hint="Empty: the planner chooses." />
              {date.alternate && to !== date.alternate && (
                <button type="button" className="act-quiet text-sm" onClick={() => changeTo(date.alternate ?? '')}>
                  take {shortDay(date.alternate)}
                </button>
              )}
            </div>
            <div>
              <TextField label="Why" value={why} maxLength={120} onChange={changeWhy} />
              <div className="flex flex-wrap gap-x-4">
                {REASONS.map((reason) => (
                  <button key={reason} type="button" className="act-quiet text-sm" onClick={() => changeWhy(reason)}>
                    {reason}
                  </button>
                ))}
              </div>
            </div>
          </div>
          {shown && <Changes answer={shown} view={view} />}
          <Problem words={problem} />
          <div className="mt-3 flex flex-wrap gap-3">
            <button type="submit" className={`act ${shown ? 'act-next' : ''}`} disabled={!why.trim()}>
              {shown ? 'Keep it so' : to ? 'Show what changes' : `Nobody can go on ${shortDay(date.day)}: show what changes`}
            </button>
            {pins.map((pin) => (
              <button
                key={pin.id}
                type="button"
                className="act"
                onClick={async () => {
                  setProblem(
                    (await asked(() => api.DELETE('/api/season/days/{id}', { params: { path: { id: pin.id } } }))).problem,
                  );
                  onChanged();
                }}
              >
                No longer by hand
              </button>
            ))}
          </div>
        </form>
      )}
    </section>
  );
}

function Changes({ answer, view }: { answer: Schemas['ReplanAnswer']; view: SeasonView }) {
  const nameOf = (code: string) => view.stations.find(({ station }) => station.code === code)?.station.name ?? code;
  return (
    <div className="mt-2 border-slate border-l-4 pl-3" role="status">
      {answer.changes.length === 0 && <p>Nothing else changes.</p>}
      {answer.changes.map((change) => (
        <div key={change.station}>
          <b>{nameOf(change.station)}</b>
          <ul>
            {change.words.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
      ))}
    </div>
  );
}

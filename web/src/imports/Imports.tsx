import { useEffect, useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { refreshNow } from '../field/delivery';
import { plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { Reason } from '../ui/Reason';

type Import = Schemas['HistoricImport'];

const AGAIN_MS = 1000;

interface Props {
  imports: readonly Import[] | undefined;
  /** One is being brought in just now. */
  busy: boolean;
  onChanged(): Promise<unknown>;
}

/** Tables that were brought in: worked out step by step, signed off as a whole by somebody else, or taken back as a whole. */
export function Imports({ imports, busy, onChanged }: Props) {
  const working = busy || (imports?.some(({ waiting }) => waiting > 0) ?? false);
  useEffect(() => {
    const again = working ? setInterval(() => void onChanged(), AGAIN_MS) : undefined;
    return () => clearInterval(again);
  }, [working, onChanged]);
  if (!imports || imports.length === 0) {
    return null;
  }
  return (
    <section className="mt-8" aria-label="Tables brought in">
      <h2 className="caps border-ink border-b-[1.5px] pb-1">Tables brought in</h2>
      <ul>
        {imports.map((one) => (
          <Row key={one.id} one={one} onChanged={onChanged} />
        ))}
      </ul>
    </section>
  );
}

function Row({ one, onChanged }: { one: Import; onChanged(): Promise<unknown> }) {
  const [asking, setAsking] = useState(false);
  const [problem, setProblem] = useState('');
  const [said, setSaid] = useState('');
  async function tell(
    ask: Promise<{ data: { visits: number } | undefined; problem: string }>,
    words: (visits: number) => string,
  ) {
    const { data, problem: wrong } = await ask;
    setProblem(wrong);
    setAsking(false);
    if (data) {
      setSaid(words(data.visits));
      refreshNow();
      await onChanged();
    }
  }
  const path = { params: { path: { id: one.id } } };
  return (
    <li className="border-rule border-b py-2">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <span className="min-w-0 flex-1">
          <b className="break-all">{one.file}</b>{' '}
          <span className="text-dim">
            {one.by}, {plainDay(one.at.slice(0, 10))}.{' '}
            {one.waiting > 0
              ? `Being worked out: ${one.visits - one.waiting} of ${one.visits} visits so far. What boats send goes before.`
              : one.standing === 0
                ? `Taken back: its ${one.visits} visits are struck.`
                : [
                    `${one.standing} ${one.standing === 1 ? 'visit' : 'visits'}`,
                    one.ready > 0 && `${one.ready} ${one.ready === 1 ? 'waits' : 'wait'} to be signed off`,
                    one.open > 0 && `${one.open} ${one.open === 1 ? 'has' : 'have'} open findings`,
                  ]
                    .filter(Boolean)
                    .join(', ')}
          </span>
        </span>
        {one.waiting > 0 && (
          <progress
            className="w-40 accent-slate"
            aria-label={`Visits of ${one.file} worked out`}
            max={one.visits}
            value={one.visits - one.waiting}
          />
        )}
        {one.ready > 0 && !one.own && one.waiting === 0 && (
          <button
            type="button"
            className="act"
            onClick={() =>
              void tell(
                asked(() => api.POST('/api/imports/{id}/sign-off', path)),
                (visits) => `${visits} visits are signed off.`,
              )
            }
          >
            Sign off {one.ready} visits
          </button>
        )}
        {one.standing > 0 && (
          <button type="button" className="act-quiet" onClick={() => setAsking(true)}>
            Take it back…
          </button>
        )}
      </div>
      {one.ready > 0 && one.own && one.waiting === 0 && (
        <p className="text-dim text-sm">Somebody else than you signs them off.</p>
      )}
      {said && <p role="status">✓ {said}</p>}
      <Problem words={problem} />
      {asking && (
        <Reason
          title={`Why are the ${one.standing} visits taken back?`}
          suggestions={['wrong unit in a column', 'wrong station', 'the table was not the last version']}
          confirm="Take it back"
          onGiven={(why) =>
            void tell(
              asked(() => api.POST('/api/imports/{id}/undo', { ...path, body: { why } })),
              (visits) => `${visits} visits are struck; the log keeps them with the reason.`,
            )
          }
          onCancel={() => setAsking(false)}
        />
      )}
    </li>
  );
}

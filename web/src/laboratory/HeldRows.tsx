import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { refreshNow } from '../field/delivery';
import { Problem } from '../ui/Problem';
import { Reason } from '../ui/Reason';

const SHOWN = 50;

/** Rows that found no sample: listed until somebody settles them. */
export function HeldRows({ held, onChanged }: { held: Schemas['HeldResult'][]; onChanged(): Promise<void> }) {
  const [settling, setSettling] = useState<string>();
  const [said, setSaid] = useState('');
  if (held.length === 0) {
    return null;
  }
  return (
    <section className="mt-8" aria-label="Rows that wait">
      <h2 className="text-xl">
        {held.length} {held.length === 1 ? 'row waits' : 'rows wait'} for somebody
      </h2>
      <p className="mt-1 max-w-prose text-dim">
        Nothing of them is in the record. Samples may still come from their boats: try again then. What is settled stays on file.
      </p>
      <button
        type="button"
        className="act mt-3"
        onClick={async () => {
          const { data, problem } = await asked(() => api.POST('/api/results/held/again'));
          setSaid(problem || `${data?.new ?? 0} found their sample, ${data?.held ?? 0} still wait.`);
          refreshNow();
          await onChanged();
        }}
      >
        Try them again
      </button>
      <Problem words={said} />
      <ul className="mt-3 border-rule border-t">
        {held.slice(0, SHOWN).map((row) => (
          <li key={row.id} className="border-rule border-b py-2">
            <div className="flex flex-wrap items-baseline justify-between gap-x-5">
              <p className="min-w-0 flex-1">
                {row.why}
                <code className="num block break-all text-dim text-xs">
                  {row.file}, line {row.line}: {row.raw}
                </code>
              </p>
              <button type="button" className="act-quiet" onClick={() => setSettling(row.id)}>
                put aside…
              </button>
            </div>
            {settling === row.id && (
              <Reason
                title="Why is it put aside?"
                suggestions={['not ours', 'the lab sent it again, right', 'a test row']}
                confirm="Put it aside"
                onGiven={async (why) => {
                  const { problem } = await asked(async () => {
                    const answer = await api.POST('/api/results/held/{id}/settled', {
                      params: { path: { id: row.id } },
                      body: { why },
                    });
                    return { data: answer.response.ok || undefined, error: answer.error };
                  });
                  setSaid(problem);
                  setSettling(undefined);
                  await onChanged();
                }}
                onCancel={() => setSettling(undefined)}
              />
            )}
          </li>
        ))}
      </ul>
      {held.length > SHOWN && (
        <p className="mt-2 text-dim">
          The first {SHOWN} of {held.length}.
        </p>
      )}
    </section>
  );
}

import { useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { refreshNow } from '../field/delivery';
import { Simulated } from '../instruments/Simulated';
import { useSession } from '../people/session';
import { clockTime } from '../ui/days';
import { Problem } from '../ui/Problem';
import { handFile } from './resultsFile';

/** The laboratory that ships with Upper Still answers here; a real one would send its file. */
export function StandIn({ manifest }: { manifest: string }) {
  const navigate = useNavigate();
  const { known } = useSession();
  const [answer, setAnswer] = useState<Schemas['LaboratoryAnswer']>();
  const [problem, setProblem] = useState('');
  if (!known?.works && !known?.reports) {
    return null;
  }
  return (
    <section className="mt-8 border border-rule bg-sheet p-4" aria-label="The laboratory's answer">
      <h2 className="text-lg">
        The laboratory’s answer <Simulated />
      </h2>
      <p className="mt-1 text-dim">
        {!answer
          ? 'It takes the box in, works on it and answers with a file, as a real one would some weeks later.'
          : !answer.fileName
            ? `It is at work${answer.readyAt ? ` until ${clockTime(answer.readyAt)}:${answer.readyAt.slice(17, 19)}` : ''}. Ask again then.`
            : `${answer.fileName} is there${answer.rejected ? `; ${answer.rejected} vials were rejected` : ''}${answer.readyAt ? '; some results follow' : ''}.`}
      </p>
      <div className="mt-3 flex flex-wrap gap-2.5">
        <button
          type="button"
          className="act"
          onClick={async () => {
            const { data, problem: words } = await asked(() =>
              api.POST('/api/manifests/{id}/answer', { params: { path: { id: manifest } } }),
            );
            setProblem(words);
            setAnswer(data);
            refreshNow();
          }}
        >
          Ask the simulated laboratory
        </button>
        {answer?.fileName && answer.file && known.reports && (
          <button
            type="button"
            className="act act-next"
            onClick={() => {
              handFile(new File([answer.file ?? ''], answer.fileName ?? 'results.csv', { type: 'text/csv' }));
              void navigate({ to: '/ledger/results' });
            }}
          >
            Look at its results
          </button>
        )}
        {answer?.fileName && answer.file && !known.reports && (
          <p className="self-center text-dim text-sm">Its results come in through the laboratory or a coordinator.</p>
        )}
      </div>
      <Problem words={problem} />
    </section>
  );
}

import { Link } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { realStations } from '../field/store';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { MiniYears } from './MiniYears';

type Answer = Schemas['SeriesAnswer'];

const AT_ONCE = 12;

/** Every water on one screen: is it changing, how sure are we, what would we need. */
export function AnswersPage() {
  const { data: waters, problem } = usePulled(() => api.GET('/api/waters'), ['waters']);
  const [shown, setShown] = useState(AT_ONCE);
  const sampled = waters?.filter(({ stations }) => stations > 0);
  const { data: region } = usePulled(() => api.GET('/api/record/region'), ['region']);
  return (
    <PageFrame width="chart">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="text-2xl sm:text-3xl">Is our water changing?</h1>
        <p className="flex flex-wrap gap-x-5">
          <Link to="/record/beside">Stations side by side</Link>
          <Link to="/record/summary">The year across all waters</Link>
        </p>
      </div>
      {region && (
        <p className="mt-1 max-w-[60rem] text-dim">
          {region.headline} {region.detail}
        </p>
      )}
      <Problem words={problem} />
      {waters?.length === 0 && <p className="mt-6 border border-rule bg-sheet p-4">No water is set up that you may see.</p>}
      {problem && <OnThisDevice />}
      {sampled?.slice(0, shown).map(({ water }) => (
        <WaterAnswers key={water.code} water={water} />
      ))}
      {sampled && sampled.length > shown && (
        <button type="button" className="act mt-5" onClick={() => setShown(shown + AT_ONCE)}>
          Show {Math.min(AT_ONCE, sampled.length - shown)} more of {sampled.length} waters
        </button>
      )}
    </PageFrame>
  );
}

/** With no signal the stations on this device can still be looked at, one by one. */
function OnThisDevice() {
  const stations = useLiveQuery(realStations, [])?.toSorted((a, b) => a.ordinal - b.ordinal);
  return (
    <ul className="mt-4 border-rule border-t">
      {stations?.map(({ code, record }) => (
        <li key={code} className="border-rule border-b">
          <Link to="/record/$station" params={{ station: code }} className="flex min-h-(--target) items-center">
            {record.context.station.water}, {record.context.station.name}
          </Link>
        </li>
      ))}
    </ul>
  );
}

function WaterAnswers({ water }: { water: Schemas['Water'] }) {
  const { data: stations, problem } = usePulled(
    () => api.GET('/api/waters/{code}/answers', { params: { path: { code: water.code } } }),
    ['answers', water.code],
  );
  return (
    <section className="mt-5 border-ink border-t-[1.5px] pt-2" aria-label={water.name}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="text-xl">{water.name}</h2>
        <Link to="/record/report/$water" params={{ water: water.code }}>
          Two-page report
        </Link>
      </div>
      <Problem words={problem} />
      {!stations && !problem && <p className="text-dim">Asking the record…</p>}
      {stations?.map(({ station, name, answers }) => (
        <div key={station}>
          {stations.length > 1 && <h3 className="mt-2 text-dim">{name}</h3>}
          {answers.length === 0 && <p className="text-dim">Nothing has been read at {name} yet.</p>}
          <ul>
            {answers
              .filter(({ matters }) => matters)
              .map((answer) => (
                <Row key={answer.subject} station={station} answer={answer} />
              ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

const SIGNS = { rising: '↗', falling: '↘', none: '=', mixed: '⤭', 'too-few': '…', censored: '?' } as const;

function Row({ station, answer }: { station: string; answer: Answer }) {
  const changing = answer.verdict === 'rising' || answer.verdict === 'falling';
  return (
    <li className="grid items-center gap-x-5 gap-y-1 border-rule border-b py-2 md:grid-cols-[11.5rem_minmax(0,1fr)_18rem]">
      <div className="max-md:hidden">
        <MiniYears years={answer.years} line={answer.line} depth={answer.depth} height={40} />
      </div>
      <div className="min-w-0">
        <p className={changing ? 'font-bold' : ''}>
          <span aria-hidden="true" className="num mr-2 inline-block w-4 text-slate">
            {SIGNS[answer.verdict]}
          </span>
          <Link to="/record/$station" params={{ station }} search={{ of: answer.subject }} className="text-ink decoration-1">
            {answer.headline}
          </Link>
        </p>
        <p className="text-dim text-sm">{answer.detail}</p>
      </div>
      <p className="text-sm">
        {answer.wouldKnow ?? 'The scatter is not known yet.'}
        {answer.waiting > 0 && (
          <span className="text-dim">
            {' '}
            {answer.waiting} {answer.waiting === 1 ? 'value waits' : 'values wait'} for review.
          </span>
        )}
      </p>
    </li>
  );
}

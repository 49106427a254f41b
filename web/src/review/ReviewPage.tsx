import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type FieldSheet, type Schemas, type StationRecord } from '../api/client';
import { usePulled } from '../api/usePulled';
import { Column } from '../column/Column';
import { writeAshore } from '../field/entries';
import { useVisit } from '../field/visits';
import { nativeOf, seriesOf, useClarities, useTrend } from '../record/series';
import { YearsChart } from '../record/YearsChart';
import { useAppearance } from '../ui/appearance';
import { clockTime, plainDay } from '../ui/days';
import { FindingNote } from '../ui/FindingNote';
import { PageFrame } from '../ui/PageFrame';
import { Reason } from '../ui/Reason';
import { EntryLog } from '../water/EntryLog';
import { MoveVisit } from './MoveVisit';
import { useReview } from './useReview';

/**
 * A visit under review: each finding with its evidence on the column and in the history; accept, ask, or correct it in the visit;
 * then sign it off.
 */
export function ReviewPage() {
  const { visit } = useParams({ from: '/review/$visit' });
  const { reader } = useAppearance();
  const { sheet, station, error } = useVisit(visit, reader);
  const review = useReview(visit);
  const { data: waiting, again } = usePulled(() => api.GET('/api/reviews'));
  const navigate = useNavigate();
  if (sheet === null) {
    return <p className="p-6">This visit is neither here nor to be had. It needs a signal.</p>;
  }
  if (!sheet || !station || !review) {
    return <p className="p-6 text-dim">{error ?? 'Opening the visit…'}</p>;
  }
  const { context } = station;
  const next = (waiting ?? []).find((one) => one.visit !== visit);
  const moved = sheet.findings.find(({ code }) => code === 'visit-moved');
  const open = review.findings.filter(({ finding }) => finding.kept == null);
  const answered = review.findings.filter(({ finding }) => finding.kept != null);
  return (
    <PageFrame width="chart">
      <p className="text-sm">
        <Link to="/review">Review</Link>
      </p>
      <h1 className="text-2xl sm:text-3xl">
        {context.station.water}, {context.station.name}, {sheet.startedAt && plainDay(sheet.startedAt)}
      </h1>
      <p className="text-dim">
        Read by {sheet.observers.join(' and ')}
        {sheet.startedAt && ` from ${clockTime(sheet.startedAt)}`}. {stateWords(review)}{' '}
        <Link to="/visit/$visit" params={{ visit }}>
          To the visit, to correct it
        </Link>
      </p>
      {moved && <FindingNote finding={moved} />}
      {station.mayReview && <MoveVisit visit={visit} from={context.station.code} />}
      <div className="mt-4 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="min-w-0">
          {review.said?.map((finding) => (
            <FindingNote key={finding.code} finding={finding} />
          ))}
          {open.map(({ finding, sample }) => (
            <Open
              key={finding.code + finding.seen}
              visit={visit}
              finding={finding}
              sample={sample}
              mayReview={station.mayReview}
            />
          ))}
          {open.length === 0 && <p className="border border-reed bg-sheet p-4 text-reed">✓ No finding is open.</p>}
          <Questions visit={visit} review={review} mayReview={station.mayReview} />
          <SignOff review={review} station={station} onSigned={() => void again()} />
          {review.state === 'signed-off' && next && (
            <button
              type="button"
              className="act act-next mt-3"
              onClick={() => void navigate({ to: '/review/$visit', params: { visit: next.visit } })}
            >
              Next: {next.name}, {plainDay(next.day)}
            </button>
          )}
          {answered.length > 0 && (
            <details className="mt-6">
              <summary className="inline-flex min-h-(--target) cursor-pointer items-center underline">
                {answered.length} answered {answered.length === 1 ? 'finding' : 'findings'}
              </summary>
              {answered.map(({ finding }) => (
                <FindingNote key={finding.code + finding.seen} finding={finding} />
              ))}
            </details>
          )}
          <History sheet={sheet} station={station} />
        </div>
        <aside className="border-rule lg:border-l lg:pl-6">
          <h2 className="caps">The column</h2>
          <div className="h-[26rem]">
            <Column
              sheet={sheet}
              earlier={station.profiles}
              strip={false}
              onStep={() => void navigate({ to: '/visit/$visit', params: { visit } })}
            />
          </div>
          <h2 className="caps mt-6">Every entry, device and person</h2>
          <EntryLog sheet={sheet} who />
        </aside>
      </div>
    </PageFrame>
  );
}

function stateWords({ state, blocks, signedBy, signedAt }: Schemas['VisitReview']): string {
  return state === 'signed-off' && signedBy && signedAt
    ? `Signed off by ${signedBy} on ${plainDay(signedAt)}.`
    : blocks.join(' ');
}

function Open({
  visit,
  finding,
  sample,
  mayReview,
}: {
  visit: string;
  finding: Schemas['Finding'];
  sample?: string | null | undefined;
  mayReview: boolean;
}) {
  const [asking, setAsking] = useState(false);
  return (
    <div>
      {sample && (
        <p className="num mt-3 text-sm">
          <Link to="/ledger/sample/$number" params={{ number: sample }}>
            {sample}
          </Link>
        </p>
      )}
      <FindingNote
        finding={finding}
        onKeep={(why) => void writeAshore({ visit, kind: 'kept', body: { finding: finding.code, about: finding.about }, why })}
      >
        {mayReview && (
          <button type="button" className="act" onClick={() => setAsking(true)}>
            Ask the sampler…
          </button>
        )}
      </FindingNote>
      {asking && (
        <Reason
          title="What do you want to know?"
          suggestions={['Was it read twice?', 'Is the unit right?', 'Was it the usual place?']}
          confirm="Ask"
          onGiven={(question) => {
            setAsking(false);
            void writeAshore({ visit, kind: 'asked', body: { question, about: finding.about } });
          }}
          onCancel={() => setAsking(false)}
        />
      )}
    </div>
  );
}

/** Questions to whoever made the visit, with their answers; an open one can be answered here. */
function Questions({ visit, review, mayReview }: { visit: string; review: Schemas['VisitReview']; mayReview: boolean }) {
  const [answering, setAnswering] = useState('');
  if (review.questions.length === 0) {
    return null;
  }
  return (
    <section className="mt-5" aria-label="Questions">
      <h2 className="caps">Questions</h2>
      {review.questions.map(({ entry, question, by, answer, answeredBy }) => (
        <div key={entry} className="border-rule border-b py-2">
          <p>
            <b>{question}</b> <span className="text-dim text-sm">{by}</span>
          </p>
          {answer != null ? (
            <p>
              {answer} <span className="text-dim text-sm">{answeredBy}</span>
            </p>
          ) : answering === entry ? (
            <Reason
              title="The answer"
              suggestions={['yes', 'no', 'nobody knows any more']}
              confirm="Answer"
              onGiven={(words) => {
                setAnswering('');
                void writeAshore({ visit, kind: 'answered', body: { asked: entry, answer: words } });
              }}
              onCancel={() => setAnswering('')}
            />
          ) : (
            <button type="button" className="act mt-1" onClick={() => setAnswering(entry)}>
              {mayReview ? 'Write down the answer…' : 'Answer…'}
            </button>
          )}
        </div>
      ))}
    </section>
  );
}

function SignOff({ review, station, onSigned }: { review: Schemas['VisitReview']; station: StationRecord; onSigned(): void }) {
  if (!station.mayReview || review.state === 'signed-off') {
    return null;
  }
  return (
    <div className="mt-5 border-ink border-t-[1.5px] pt-3">
      <button
        type="button"
        className={`act ${review.state === 'ready' ? 'act-next' : ''}`}
        disabled={review.state !== 'ready'}
        onClick={async () => {
          await writeAshore({ visit: review.visit, kind: 'signed-off', body: { field: review.field, results: review.results } });
          onSigned();
        }}
      >
        Sign it off
      </button>
      {review.blocks.length > 0 && <p className="mt-1 text-dim">{review.blocks.join(' ')}</p>}
    </div>
  );
}

/** Where this visit's clarity stands among all others of the station. */
function History({ sheet, station }: { sheet: FieldSheet; station: StationRecord }) {
  const { reader } = useAppearance();
  const { points, pending } = useClarities(station.context.station.code, station);
  const { trend } = useTrend(points && seriesOf(station, 'clarity', points), {
    native: nativeOf(station),
    reader,
    yearsOnly: true,
  });
  return trend && pending && trend.points.length > 0 ? (
    <section className="mt-6">
      <h2 className="caps">Among the others</h2>
      {sheet.clarity.result.compared && <p>{sheet.clarity.result.compared.text}.</p>}
      <YearsChart trend={trend} pending={pending} marked={sheet.visit} />
    </section>
  ) : null;
}

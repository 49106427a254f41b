import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { shortDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';

type Waiting = Schemas['WaitingVisit'];

/** Visits that nobody vouches for yet, by station; what has something open first. */
export function ReviewsPage() {
  const { data: visits, problem } = usePulled(() => api.GET('/api/reviews'), ['reviews']);
  const [station, setStation] = useState('');
  const stations = [...new Map((visits ?? []).map((visit) => [visit.station, visit])).values()];
  const shown = (visits ?? []).filter((visit) => !station || visit.station === station);
  const open = shown.filter(({ state }) => state === 'open');
  const ready = shown.filter(({ state }) => state === 'ready');
  return (
    <PageFrame width="table">
      <h1 className="text-2xl sm:text-3xl">{headline(visits)}</h1>
      <p className="mt-1 max-w-prose text-dim">
        Only what somebody else has looked at and signed off enters a trend. Until then it is drawn hollow.
      </p>
      <Problem words={problem} />
      {stations.length > 1 && (
        <label className="mt-3 block">
          <span className="sr-only">Station</span>
          <select className="field w-auto max-w-full" value={station} onChange={(event) => setStation(event.target.value)}>
            <option value="">all stations</option>
            {stations.map((one) => (
              <option key={one.station} value={one.station}>
                {one.water}, {one.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <Group title="Something is open" visits={open} first={open.length > 0} />
      <Group title="Ready to be signed off" visits={ready} first={open.length === 0} />
    </PageFrame>
  );
}

function headline(visits: Waiting[] | undefined): string {
  if (!visits) {
    return 'Review';
  }
  if (visits.length === 0) {
    return 'Everything is signed off';
  }
  const open = visits.filter(({ state }) => state === 'open').length;
  return `${visits.length} ${visits.length === 1 ? 'visit waits' : 'visits wait'} for review${open > 0 ? `, ${open} with something open` : ''}`;
}

function Group({ title, visits, first }: { title: string; visits: Waiting[]; first: boolean }) {
  if (visits.length === 0) {
    return null;
  }
  return (
    <section className="mt-5" aria-label={title}>
      <h2 className="caps border-ink border-b-[1.5px] pb-1">{title}</h2>
      <ul>
        {visits.map((visit, i) => (
          <li
            key={visit.visit}
            className="grid items-center gap-x-5 gap-y-1 border-rule border-b py-2.5 sm:grid-cols-[13rem_minmax(0,1fr)_auto]"
          >
            <div>
              <p className="font-bold">
                {visit.water}, {visit.name}
              </p>
              <p className="text-dim text-sm">
                {shortDay(visit.day)} {visit.day.slice(0, 4)} · {visit.observers}
              </p>
            </div>
            <div className="min-w-0 text-sm">
              {visit.resultsOnly && <p>Signed off; results came since.</p>}
              {visit.seen.map((words) => (
                <p key={words}>{words}</p>
              ))}
              {visit.openFindings > visit.seen.length && (
                <p className="text-dim">and {visit.openFindings - visit.seen.length} more</p>
              )}
              {visit.openQuestions > 0 && <p className="text-buoy">a question is not answered</p>}
            </div>
            <Link
              to="/review/$visit"
              params={{ visit: visit.visit }}
              className={`act ${first && i === 0 ? 'act-next' : ''}`}
              aria-label={`Look at ${visit.name}, ${shortDay(visit.day)} ${visit.day.slice(0, 4)}`}
            >
              Look at it
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

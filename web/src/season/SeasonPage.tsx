import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api } from '../api/client';
import { usePulled } from '../setup/usePulled';
import { TextField } from '../ui/TextField';
import { DatePanel } from './DatePanel';
import { NextDates } from './NextDates';
import { dayAndTime, type Outing, outingsOn, PROTOCOLS, type SeasonView, shortDay } from './season';
import { YearPicture } from './YearPicture';

export interface Chosen {
  station: string;
  day: string;
}

/** What is due where: today, what is at risk, and the year as one picture. */
export function SeasonPage() {
  const season = usePulled(() => api.GET('/api/season'));
  const [chosen, setChosen] = useState<Chosen>();
  const view = season.data;
  if (!view) {
    return season.problem ? (
      <p role="alert" className="m-6 border border-madder bg-sheet p-3">
        {season.problem}
      </p>
    ) : null;
  }
  if (view.stations.length === 0) {
    return (
      <div className="mx-auto w-full max-w-[68rem] px-4 py-6 sm:px-6">
        <h1 className="text-2xl sm:text-3xl">No season is planned yet</h1>
        <p className="mt-2 max-w-prose">
          A season needs a station with a programme that says what is due when.{' '}
          <Link to="/setup/waters">Set up the waters and stations</Link>
        </p>
      </div>
    );
  }
  const risks = view.plan.stations.flatMap((plan, i) =>
    plan.findings.filter((f) => f.code !== 'interval-off').map((finding) => ({ finding, station: view.stations[i]?.station })),
  );
  return (
    <div className="mx-auto w-full max-w-[80rem] px-4 py-4 sm:px-6">
      <Today view={view} />
      {risks.length > 0 && (
        <ul className="mt-4 grid gap-2 lg:grid-cols-2">
          {risks.map(({ finding, station }) => (
            <li
              key={`${station?.code} ${finding.seen}`}
              className={`border bg-sheet px-3.5 py-2.5 text-[0.95rem] ${finding.level === 'note' ? 'border-dim' : 'border-madder'}`}
            >
              <b>
                {station?.water}, {station?.name}
                {finding.code === 'season-at-risk' ? ' is at risk.' : ':'}
              </b>{' '}
              {finding.seen} {finding.why} {finding.act}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-5 max-md:hidden">
        <YearPicture view={view} chosen={chosen} onChoose={setChosen} />
      </div>
      <div className="mt-5 md:hidden">
        <NextDates view={view} onChoose={setChosen} />
      </div>
      <CalendarLink />
      {chosen && (
        <DatePanel view={view} chosen={chosen} onClose={() => setChosen(undefined)} onChanged={() => void season.again()} />
      )}
    </div>
  );
}

/** For the calendar on the phone: an address that it fetches by itself, or the file once. */
function CalendarLink() {
  const [path, setPath] = useState('');
  return path ? (
    <div className="mt-5 max-w-2xl">
      <TextField
        label="Address for your calendar"
        value={location.origin + path}
        onChange={() => undefined}
        readOnly
        onFocus={(event) => event.target.select()}
        hint="Subscribe to it in your calendar; it follows every change. Whoever has the address can read your dates."
      />
      <a className="act mt-2" href={path} download="upper-still-season.ics">
        Or take the file once
      </a>
    </div>
  ) : (
    <button
      type="button"
      className="act-quiet mt-4"
      onClick={async () => setPath((await api.GET('/api/season/calendar-address')).data?.path ?? '')}
    >
      These dates in your own calendar
    </button>
  );
}

function Today({ view }: { view: SeasonView }) {
  const today = outingsOn(view, view.today);
  if (today.length > 0) {
    return (
      <ul>
        {today.map((outing, i) => (
          <Due key={outing.water} outing={outing} first={i === 0} view={view} />
        ))}
      </ul>
    );
  }
  const next = view.plan.stations
    .flatMap((plan) => plan.dates.filter((date) => date.state === 'planned').map((date) => date.day))
    .sort()[0];
  return (
    <div>
      <p className="caps">Today</p>
      <h1 className="text-2xl sm:text-3xl">Nothing is due today</h1>
      {next && (
        <p className="text-dim">
          Next: {shortDay(next)},{' '}
          {outingsOn(view, next)
            .map((o) => o.water)
            .join(' and ')}
        </p>
      )}
    </div>
  );
}

function Due({ outing, first, view }: { outing: Outing; first: boolean; view: SeasonView }) {
  const leaveBy = outing.stops.flatMap(({ date }) => (date.leaveBy ? [date.leaveBy] : [])).sort()[0];
  const taken = [...new Set(outing.stops.flatMap(({ date }) => date.protocols))];
  const start = outing.stops.find(({ station }) => station.mayMove)?.station.station;
  const Heading = first ? 'h1' : 'h2';
  const why = [...new Set(outing.stops.flatMap(({ date }) => date.why.filter((w) => /satellite|shared|tide/.test(w))))];
  return (
    <li className="flex flex-wrap items-start gap-x-6 gap-y-2 border-rule border-b py-2.5 last:border-b-0">
      <div className="min-w-0 flex-1 max-sm:basis-full">
        <p className="caps">{leaveBy ? `Today; to the lab, leave by ${dayAndTime(leaveBy)}` : 'Today'}</p>
        <Heading className={first ? 'text-2xl sm:text-3xl' : 'text-xl'}>
          {outing.water}: {outing.stops.map(({ station }) => station.station.name).join(', then ')}
        </Heading>
        <p className="text-dim">
          {taken.map((protocol) => PROTOCOLS[protocol]).join(', ')} · high sun {outing.stops[0]?.station.highSun}
          {why.map((words) => ` · ${words}${view.passesSimulated && words.includes('satellite') ? ' (simulated)' : ''}`)}
        </p>
      </div>
      {start && (
        <Link to="/start/$station" params={{ station: start.code }} className={`act max-sm:w-full ${first ? 'act-next' : ''}`}>
          Start at {start.name}
        </Link>
      )}
    </li>
  );
}

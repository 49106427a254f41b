import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { addressOf } from '../api/home';
import { usePulled } from '../api/usePulled';
import { useProtocolName } from '../field/boxes';
import { useSession } from '../people/session';
import { dayAndTime, shortDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { Waiting } from '../ui/Waiting';
import { DatePanel } from './DatePanel';
import { NextDates } from './NextDates';
import type { SeasonView } from './season';
import { YearPicture } from './YearPicture';

export interface Chosen {
  station: string;
  day: string;
}

/** What is due where: today, what is at risk, and the year as one picture. */
export function SeasonPage() {
  const season = usePulled(() => api.GET('/api/season'), ['season']);
  const [chosen, setChosen] = useState<Chosen>();
  const view = season.data;
  if (!view) {
    return <Waiting problem={season.problem} />;
  }
  if (view.stations.length === 0) {
    return (
      <PageFrame>
        <h1 className="text-2xl sm:text-3xl">No season is planned yet</h1>
        <p className="mt-2 max-w-prose">
          A season needs a station with a programme that says what is due when.{' '}
          <Link to="/setup/waters">Set up the waters and stations</Link>
        </p>
      </PageFrame>
    );
  }
  const risks = view.plan.stations.flatMap((plan, i) =>
    plan.findings.map((finding) => ({ finding, station: view.stations[i]?.station })),
  );
  return (
    <PageFrame width="widest">
      {season.problem && <Problem words={season.problem} />}
      <Today view={view} />
      {view.proposals.map(({ water, name, count }) => (
        <p key={water} className="mt-4 border border-buoy bg-sheet px-3.5 py-2.5">
          <b>To be decided:</b> {count === 1 ? 'a station is' : `${count} stations are`} proposed at{' '}
          <Link to="/setup/waters/$water" params={{ water }}>
            {name}
          </Link>
          .
        </p>
      ))}
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
    </PageFrame>
  );
}

/** For the calendar on the phone: an address that it fetches by itself, or the file once. */
function CalendarLink() {
  const [path, setPath] = useState('');
  const [problem, setProblem] = useState('');
  return path ? (
    <div className="mt-5 max-w-2xl">
      <TextField
        label="Address for your calendar"
        value={addressOf(path)}
        onChange={() => undefined}
        readOnly
        onFocus={(event) => event.target.select()}
        hint="Subscribe to it in your calendar; it follows every change, for four hundred days. Whoever has the address can read your dates."
      />
      <div className="mt-2 flex flex-wrap gap-3">
        <a className="act" href={addressOf(path)} download="upper-still-season.ics">
          Or take the file once
        </a>
        <button
          type="button"
          className="act"
          onClick={async () => {
            const { data, problem: refused } = await asked(() => api.POST('/api/season/calendar-address'));
            setProblem(refused);
            setPath(data?.path ?? path);
          }}
        >
          New address; the old one ends
        </button>
      </div>
      <Problem words={problem} />
    </div>
  ) : (
    <>
      <Problem words={problem} />
      <button
        type="button"
        className="act-quiet mt-4"
        onClick={async () => {
          const { data, problem: refused } = await asked(() => api.GET('/api/season/calendar-address'));
          setProblem(refused);
          setPath(data?.path ?? '');
        }}
      >
        These dates in your own calendar
      </button>
    </>
  );
}

function Today({ view }: { view: SeasonView }) {
  const today = view.outings.filter((outing) => outing.today);
  if (today.length > 0) {
    return (
      <ul>
        {today.map((outing, i) => (
          <Due key={outing.waterCode} outing={outing} view={view} first={i === 0} />
        ))}
      </ul>
    );
  }
  const next = view.outings[0];
  return (
    <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
      <div className="min-w-0 flex-1">
        <p className="caps">Today</p>
        <h1 className="text-2xl sm:text-3xl">Nothing is due today</h1>
        {next && (
          <p className="text-dim">
            Next: {shortDay(next.day)},{' '}
            {view.outings
              .filter(({ day }) => day === next.day)
              .map(({ water }) => water)
              .join(' and ')}
          </p>
        )}
      </div>
      {next && <PrepareLink outing={next} next />}
    </div>
  );
}

function PrepareLink({ outing, next }: { outing: Schemas['OutingDay']; next: boolean }) {
  const { known } = useSession();
  return known?.works ? (
    <Link
      to="/prepare/$day/$water"
      params={{ day: outing.day, water: outing.waterCode }}
      className={`act max-sm:w-full ${next ? 'act-next' : ''}`}
    >
      Prepare this outing<span className="sr-only">: {outing.water}</span>
    </Link>
  ) : null;
}

function Due({ outing, view, first }: { outing: Schemas['OutingDay']; view: SeasonView; first: boolean }) {
  const protocolName = useProtocolName();
  const Heading = first ? 'h1' : 'h2';
  const highSun = view.stations.find(({ station }) => station.code === outing.stations[0])?.highSun;
  return (
    <li className="flex flex-wrap items-start gap-x-6 gap-y-2 border-rule border-b py-2.5 last:border-b-0">
      <div className="min-w-0 flex-1 max-sm:basis-full">
        <p className="caps">{outing.leaveBy ? `Today; to the lab, leave by ${dayAndTime(outing.leaveBy)}` : 'Today'}</p>
        <Heading className={first ? 'text-2xl sm:text-3xl' : 'text-xl'}>
          {outing.water}: {outing.names.join(', then ')}
        </Heading>
        <p className="text-dim">
          {outing.protocols.map((protocol) => protocolName(protocol)).join(', ')} · high sun {highSun}
          {outing.welcome.map((words) => ` · ${words}`)}
        </p>
      </div>
      <PrepareLink outing={outing} next={first} />
    </li>
  );
}

import { Link, useParams } from '@tanstack/react-router';
import { useProtocolName } from '../field/boxes';
import { nowLocal } from '../field/clock';
import { clockTime, dayAndTime, longDay } from '../ui/days';
import { FindingNote } from '../ui/FindingNote';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { UNITS } from '../ui/units';
import { OnDevice } from './OnDevice';
import { type Outing, useOuting } from './outings';
import { PackList } from './PackList';
import { Weather } from './Weather';

/** Everything for one outing on one page: whether to go, where first, what to take, until when. */
export function OutingPage() {
  const { day, water } = useParams({ from: '/prepare/$day/$water' });
  const { kept, unreached, problem } = useOuting(day, water);
  if (!kept) {
    return (
      <div className="p-4 sm:p-6">
        {problem ? (
          <>
            {unreached && <h1 className="text-2xl">This outing is not on this device</h1>}
            <Problem words={problem} />
          </>
        ) : (
          <p className="text-dim">Opening the outing…</p>
        )}
      </div>
    );
  }
  const { outing } = kept;
  const first = outing.stops[0]?.station;
  return (
    <PageFrame width="widest">
      <p className="caps">{longDay(day)}</p>
      <h1 className="break-words text-2xl sm:text-3xl">
        {first?.water}: {outing.stops.map(({ station }) => station.name).join(', then ')}
      </h1>
      <Facts outing={outing} />
      {outing.tooLate && <FindingNote finding={outing.tooLate} />}
      <div className="mt-4 grid items-start gap-x-8 gap-y-6 lg:grid-cols-[1fr_24rem]">
        <div className="min-w-0">
          <PackList outing={outing} outingKey={kept.key} />
        </div>
        <div className="min-w-0 max-lg:row-start-1">
          <Go outing={outing} />
          <Stops outing={outing} next={kept.packedAt !== undefined && day === nowLocal().slice(0, 10)} />
          <OnDevice kept={kept} day={day} water={water} unreached={unreached} />
          <Papers day={day} water={water} outing={outing} />
        </div>
      </div>
      <section className="mt-6 border-rule border-t pt-3" aria-label="Cautions">
        <h2 className="caps">Before casting off</h2>
        <ul className="mt-1 max-w-prose list-disc pl-5 text-[0.95rem]">
          {outing.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </section>
    </PageFrame>
  );
}

function Facts({ outing }: { outing: Outing }) {
  const lows = outing.tides.filter(({ high }) => !high);
  const highs = outing.tides.filter(({ high }) => high);
  const heights = (turns: Outing['tides']) =>
    turns.map((t) => `${clockTime(t.at)}\u00a0(${t.heightM.toFixed(1)}\u00a0m)`).join(', ');
  return (
    <p className="mt-1 text-dim">
      {outing.latestBack && <b className="text-ink">To the lab, leave by {dayAndTime(outing.latestBack)} · </b>}
      high sun {clockTime(outing.highSun)}
      {lows.length > 0 && ` · low water ${heights(lows)} · high water ${heights(highs)}`}
      {outing.passes && ' · a satellite looks down'}
      {outing.simulated.length > 0 && (
        <span className="ml-2 whitespace-nowrap border border-dim px-1.5 text-sm">simulated: {outing.simulated.join(', ')}</span>
      )}
    </p>
  );
}

function Go({ outing }: { outing: Outing }) {
  const { go } = outing;
  const stay = go.advice === 'stay';
  return (
    <section aria-label="Go or stay" className={`border-[1.5px] bg-sheet p-4 ${stay ? 'border-madder' : 'border-ink'}`}>
      <h2 className={`text-lg ${stay ? 'text-madder' : ''}`}>{go.words}</h2>
      {go.findings.map((finding) => (
        <FindingNote key={finding.seen} finding={finding} />
      ))}
      <Weather hours={outing.weather} simulated={outing.simulated.includes('the weather')} />
    </section>
  );
}

function Stops({ outing, next }: { outing: Outing; next: boolean }) {
  const protocolName = useProtocolName();
  return (
    <section aria-label="Stations in order" className="mt-5">
      <h2 className="caps border-ink border-b-[1.5px] pb-1">In this order</h2>
      <ol>
        {outing.stops.map((stop, i) => (
          <li key={stop.station.code} className="flex gap-3 border-rule border-b py-2.5">
            <b className="num text-lg">{i + 1}</b>
            <div className="min-w-0 flex-1">
              <b>{stop.station.name}</b> <span className="num text-sm">{stop.station.code}</span>
              <span className="block text-dim text-sm">
                {stop.fromLastM != null && `${stop.fromLastM} m on · `}
                {stop.station.knownDepth.written} {UNITS[stop.station.knownDepth.unit ?? 'm'].short} deep ·{' '}
                {stop.protocols.map((protocol) => protocolName(protocol)).join(', ')}
                {stop.line && ` · line ${stop.line}`}
                {` · ${clockTime(`1970-01-01T${stop.hours.from}`)}–${clockTime(`1970-01-01T${stop.hours.until}`)}`}
              </span>
            </div>
            <Link
              to="/start/$station"
              params={{ station: stop.station.code }}
              className={`act self-center ${next && i === 0 ? 'act-next' : ''}`}
            >
              Start<span className="sr-only"> at {stop.station.name}</span>
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}

function Papers({ day, water, outing }: { day: string; water: string; outing: Outing }) {
  const samples = outing.stops.reduce((sum, { samples: own }) => sum + own.length, 0);
  return (
    <div className="mt-4 flex flex-wrap gap-3">
      {samples > 0 && (
        <Link to="/prepare/$day/$water/labels" params={{ day, water }} className="act flex-1">
          Labels ({samples})
        </Link>
      )}
      <Link to="/prepare/$day/$water/sheets" params={{ day, water }} className="act flex-1">
        Field sheets ({outing.stops.length})
      </Link>
    </div>
  );
}

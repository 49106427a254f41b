import { Link } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense, useState, useSyncExternalStore } from 'react';
import type { OperationRequest, Schemas } from '../api/client';
import { nowLocal } from '../field/clock';
import { currentReach, watchReach } from '../field/delivery';
import { type KeptStation, type KeptVisit, realStations, store } from '../field/store';
import { useComputed } from '../field/useComputed';
import { openVisits, pendingVisits, withLocal } from '../field/visits';
import { MiniYears } from '../record/MiniYears';
import { firstOf, nativeOf, seriesOf } from '../record/series';
import { useAppearance } from '../ui/appearance';
import { clockTime, daysBetween, plainDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { WhichIsHere } from './WhichIsHere';

const MovesNext = lazy(() => import('../ledger/MovesNext').then((m) => ({ default: m.MovesNext })));

const COLUMNS = 'md:grid-cols-[1fr_13.5rem_12rem_11rem]';

export function StationsPage() {
  const stations = useLiveQuery(realStations, []);
  const visits = useLiveQuery(() => store.visits.toArray(), []);
  const pending = useLiveQuery(pendingVisits, []);
  const reach = useSyncExternalStore(watchReach, currentReach);
  const [fix, setFix] = useState<GeolocationCoordinates>();
  // Stations may still be arriving when the fix is there: each that comes is judged by it, too.
  const { data: here, error } = useComputed(
    'stations-here',
    fix && stations && { ...placeOf(fix), stations: stations.map(placed) },
  );
  const open = openVisits(visits);
  // One that came after the answer waits at the end until it is judged by it.
  const places = new Map(here?.stations.map(({ code }, i) => [code, i]));
  const place = (code: string) => places.get(code) ?? places.size;
  const ordered = stations?.toSorted((a, b) => place(a.code) - place(b.code) || a.ordinal - b.ordinal);
  return (
    <PageFrame>
      <h1 className="text-2xl sm:text-3xl">Where are you going?</h1>
      <p className="mt-1 text-dim">Stations on this device. Everything here works with no signal.</p>
      {ordered && ordered.length === 0 && (
        <p className="mt-6 border border-rule bg-sheet p-4">
          {reach.server === undefined
            ? 'Fetching the stations…'
            : reach.server
              ? 'No stations yet. They come with the demo, or from an instance that has some.'
              : 'No stations are on this device yet, and there is no signal. Open Upper Still once where there is one.'}
        </p>
      )}
      {ordered && ordered.length > 1 && <WhichIsHere finding={here?.finding} problem={error} onFix={setFix} />}
      <div className={`caps mt-5 grid gap-x-6 pb-1 max-md:hidden ${COLUMNS}`} aria-hidden="true">
        <span>Station</span>
        <span>Last reading</span>
        <span>Year by year</span>
      </div>
      <ul className="border-ink border-t-[1.5px] max-md:mt-4">
        {ordered?.map((station) => (
          <StationRow
            key={station.code}
            station={station}
            visits={(visits ?? []).filter((v) => v.station === station.code)}
            pending={pending ?? new Set()}
            open={open.find((v) => v.station === station.code)}
            near={here?.stations.find(({ code }) => code === station.code)}
          />
        ))}
      </ul>
      <Suspense>
        <MovesNext />
      </Suspense>
    </PageFrame>
  );
}

function placeOf({ latitude, longitude, accuracy }: GeolocationCoordinates) {
  return { at: { latitudeDeg: latitude, longitudeDeg: longitude }, accuracyM: Math.round(accuracy) };
}

function placed({ code, record }: KeptStation) {
  const { latitudeDeg, longitudeDeg, radiusM } = record.context.station;
  return { code, at: { latitudeDeg, longitudeDeg }, radiusM };
}

function StationRow({
  station,
  visits,
  pending,
  open,
  near,
}: {
  station: KeptStation;
  visits: KeptVisit[];
  pending: ReadonlySet<string>;
  open: KeptVisit | undefined;
  near: Schemas['StationNear'] | undefined;
}) {
  const { context } = station.record;
  const reader = useAppearance().reader;
  const points = withLocal(context.history, visits, pending);
  const series = seriesOf(station.record, firstOf(station.record), points);
  const { data: years } = useComputed(
    'trend',
    series &&
      ({
        ...series,
        native: nativeOf(station.record),
        reader,
        yearsOnly: true,
      } as OperationRequest<'trend'>),
    // What is on this device only are the newest.
    [station.code, station.changed, reader, points.slice(-3)],
  );
  // The number as reported is there before anything is worked out.
  const last = years?.points.at(-1) ?? series?.points.at(-1);
  const ago = last && daysBetween(last.day, nowLocal());
  return (
    <li className={`grid grid-cols-[1fr_auto] items-center gap-x-6 gap-y-2 border-rule border-b py-4 ${COLUMNS}`}>
      <div className="min-w-0">
        <h2 className="text-xl">
          <Link to="/record/$station" params={{ station: station.code }} className="text-ink decoration-1">
            {context.station.water}, {context.station.name}
          </Link>
        </h2>
        <p className="text-dim text-sm">
          {context.station.code} · {context.station.district} · {context.programme.name}
          {near && <b className="text-ink"> · {near.text}</b>}
        </p>
      </div>
      <div className="text-right md:text-left">
        <p className="num font-bold text-2xl leading-tight">{last ? last.text : 'none yet'}</p>
        {last && (
          <p className="text-dim text-sm">
            {series?.name}, {ago === 0 ? 'today' : ago === 1 ? 'yesterday' : `${ago} days ago`}
            <br />
            {plainDay(last.day)}
            {!last.usable && ' · a stop is open'}
          </p>
        )}
      </div>
      <div className="max-md:hidden">{years && <MiniYears years={years.years} depth={years.scale != null} />}</div>
      <div className="col-span-2 md:col-span-1">
        {open ? (
          <Link to="/visit/$visit" params={{ visit: open.visit }} className="act act-next w-full">
            Go on, begun {clockTime(open.startedAt)}
          </Link>
        ) : (
          station.maySample && (
            <Link to="/start/$station" params={{ station: station.code }} className="act w-full">
              Start a visit
            </Link>
          )
        )}
      </div>
    </li>
  );
}

import { Link, useNavigate, useParams, useSearch } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { Schemas, StationRecord } from '../api/client';
import { compute } from '../field/core';
import { type KeptStation, store } from '../field/store';
import { pendingVisits, withLocal } from '../field/visits';
import { useAppearance } from '../ui/appearance';
import { plainDay } from '../ui/days';
import { HangingClarity } from './HangingClarity';

type Years = Schemas['ClarityYearsResult'];

export function RecordPage() {
  const { station: code } = useParams({ strict: false });
  const navigate = useNavigate();
  const stations = useLiveQuery(() => store.stations.toArray(), [])?.toSorted((a, b) => a.ordinal - b.ordinal);
  const chosen = stations?.find((station) => station.code === code) ?? (code ? undefined : stations?.[0]);
  if (!stations) {
    return null;
  }
  return (
    <div className="mx-auto w-full max-w-[78rem] px-4 py-5 sm:px-6">
      {stations.length > 1 && (
        <Stations
          stations={stations}
          chosen={chosen?.code}
          onChoose={(to) => void navigate({ to: '/record/$station', params: { station: to } })}
        />
      )}
      {chosen ? (
        <StationYears key={chosen.code} code={chosen.code} record={chosen.record} />
      ) : (
        <p className="mt-6">
          {code ? `Station ${code} is not on this device.` : 'No stations are on this device yet.'}{' '}
          <Link to="/">To the stations</Link>
        </p>
      )}
    </div>
  );
}

function Stations({
  stations,
  chosen,
  onChoose,
}: {
  stations: KeptStation[];
  chosen: string | undefined;
  onChoose: (code: string) => void;
}) {
  return (
    <label className="flex flex-wrap items-center gap-x-3">
      <span className="caps">Station</span>
      <select
        className="field w-auto max-w-full font-bold"
        value={chosen ?? ''}
        onChange={(event) => onChoose(event.target.value)}
      >
        {stations.map(({ code, record }) => (
          <option key={code} value={code}>
            {record.context.station.water}, {record.context.station.name}
          </option>
        ))}
      </select>
    </label>
  );
}

function StationYears({ code, record }: { code: string; record: StationRecord }) {
  const { context } = record;
  const { reader } = useAppearance();
  const { visit } = useSearch({ strict: false }) as { visit?: string };
  const visits = useLiveQuery(() => store.visits.where('station').equals(code).toArray(), [code]);
  const pending = useLiveQuery(pendingVisits, []);
  const [years, setYears] = useState<Years>();
  const [problem, setProblem] = useState('');

  useEffect(() => {
    if (!visits || !pending) {
      return;
    }
    let current = true;
    compute('clarity-years', {
      points: withLocal(context.history, visits, pending),
      summary: context.programme.summary,
      native: context.lines.find((line) => line.code === record.line)?.unit ?? 'm',
      reader,
    })
      .then((result) => current && setYears(result))
      .catch((error: Error) => current && setProblem(error.message));
    return () => {
      current = false;
    };
  }, [context, record, visits, pending, reader]);

  if (problem) {
    return (
      <p className="mt-6 border border-madder bg-sheet p-4" role="alert">
        {problem}
      </p>
    );
  }
  if (!years || !pending) {
    return <p className="mt-6 text-dim">Working out the years…</p>;
  }
  const last = years.points.at(-1);
  return (
    <>
      <h1 className="mt-4 text-2xl sm:text-3xl">
        {last ? (
          <>
            Clear to <span className="num text-slate">{last.text}</span> at {context.station.name} on {plainDay(last.date)}.
          </>
        ) : (
          <>No clarity has been read at {context.station.name} yet.</>
        )}
      </h1>
      <p className="mt-1 text-dim">
        {context.station.water}, {context.station.district} · {context.programme.name} · {years.summary}
      </p>
      {last ? (
        <div className="mt-4 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_19rem]">
          <HangingClarity years={years} least={context.programme.summary.leastReadings} pending={pending} marked={visit} />
          <YearTable years={years} />
        </div>
      ) : (
        <Link to="/start/$station" params={{ station: code }} className="act act-next mt-6">
          Start a visit
        </Link>
      )}
      {last && <LastVisits years={years} pending={pending} />}
      <LaboratoryValues values={record.values ?? []} />
    </>
  );
}

function YearTable({ years }: { years: Years }) {
  return (
    <section className="border-rule lg:border-l lg:pl-6">
      <h2 className="caps">By year</h2>
      <table className="mt-1 w-full text-sm">
        <thead className="sr-only">
          <tr>
            <th>Year</th>
            <th>Clarity</th>
          </tr>
        </thead>
        <tbody>
          {years.years.toReversed().map((year) => (
            <tr key={year.year} className="border-rule border-b">
              <th scope="row" className="num py-1 text-left">
                {year.year}
              </th>
              <td className={`py-1 text-right ${year.enough ? 'text-slate' : 'text-dim'}`}>{year.text}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function LastVisits({ years, pending }: { years: Years; pending: ReadonlySet<string> }) {
  const last = years.points.slice(-8).toReversed();
  return (
    <section className="mt-6 max-w-3xl">
      <h2 className="caps">Last visits</h2>
      <ul className="mt-1 border-rule border-t">
        {last.map((point) => (
          <li key={point.visit} className="border-rule border-b">
            <Link
              to="/visit/$visit"
              params={{ visit: point.visit }}
              className="grid min-h-11 grid-cols-[1fr_auto] items-center gap-4 py-1 text-ink decoration-1 sm:grid-cols-[12rem_8rem_1fr]"
            >
              <span>{plainDay(point.date)}</span>
              <span className="num font-bold">{point.text}</span>
              <span className="text-dim text-sm no-underline max-sm:col-span-2 max-sm:empty:hidden">
                {pending.has(point.visit) ? 'on this device only' : point.usable ? '' : 'a stop is open'}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

const VALUES_SHOWN = 8;

/** What the laboratory found, newest first; each leads to the visit that it came from. */
function LaboratoryValues({ values }: { values: StationRecord['values'] }) {
  if (values.length === 0) {
    return null;
  }
  return (
    <section className="mt-6 max-w-3xl">
      <h2 className="caps">From the laboratory</h2>
      <ul className="mt-1 border-rule border-t">
        {values
          .slice(-VALUES_SHOWN)
          .toReversed()
          .map((value) => (
            <li key={value.visit + value.analyte + value.place} className="border-rule border-b">
              <Link
                to="/visit/$visit"
                params={{ visit: value.visit }}
                className="grid min-h-11 grid-cols-[1fr_auto] items-center gap-x-4 py-1 text-ink decoration-1 sm:grid-cols-[12rem_8rem_1fr]"
              >
                <span>{plainDay(value.day)}</span>
                <span className="num font-bold text-slate">{value.text}</span>
                <span className="text-dim text-sm max-sm:col-span-2">
                  {value.analyte.replaceAll('-', ' ')}, {value.depth}
                </span>
              </Link>
            </li>
          ))}
      </ul>
    </section>
  );
}

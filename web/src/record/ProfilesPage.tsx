import { Link } from '@tanstack/react-router';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useMemo, useState } from 'react';
import { api, type Schemas, type StationRecord } from '../api/client';
import { usePulled } from '../api/usePulled';
import { columnScale } from '../column/scale';
import { plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { niceTicks } from './axis';
import { ChartFrame, type Inner, Over, plainTicks, Upright } from './ChartFrame';
import { DataTable } from './DataTable';
import { YearChoice } from './YearChoice';

type Profile = Schemas['RecordProfile'];

/** Any visit's profile, its neighbours behind it, and a slide through the season. */
export function ProfilesPage({ code, record }: { code: string; record: StationRecord }) {
  const years = yearsWithProfiles(record);
  const [year, setYear] = useState(fullestRecent(record));
  return (
    <>
      {year === undefined ? (
        <p className="mt-6">No profile has been read here yet.</p>
      ) : (
        <Year key={year} code={code} year={year} years={years} onYear={setYear} />
      )}
    </>
  );
}

/** The newest year with three profiles and more, to begin with. */
export function fullestRecent(record: StationRecord): number | undefined {
  const points = (record.series ?? []).find(({ subject }) => subject === 'surface-temperature')?.points ?? [];
  const years = yearsWithProfiles(record);
  return years.find((year) => points.filter(({ day }) => day.startsWith(String(year))).length >= 3) ?? years[0];
}

/** Years with a profile, the newest first. */
export function yearsWithProfiles(record: StationRecord): number[] {
  const points = (record.series ?? []).find(({ subject }) => subject === 'surface-temperature')?.points ?? [];
  return [...new Set(points.map(({ day }) => Number(day.slice(0, 4))))].toSorted((a, b) => b - a);
}

function Year({ code, year, years, onYear }: { code: string; year: number; years: number[]; onYear(year: number): void }) {
  const { data: profiles, problem } = usePulled(
    () => api.GET('/api/stations/{code}/profiles', { params: { path: { code }, query: { year } } }),
    ['profiles', code, year],
  );
  const [at, setAt] = useState<number>();
  if (problem) {
    return <Problem words={problem} />;
  }
  if (!profiles) {
    return <p className="mt-6 text-dim">Fetching the profiles of {year}…</p>;
  }
  const index = Math.min(at ?? profiles.length - 1, profiles.length - 1);
  const shown = profiles[index];
  return (
    <>
      <div className="mt-3 flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl sm:text-3xl">{shown ? plainDay(shown.day) : `No profiles in ${year}`}</h1>
        <YearChoice year={year} years={years} onYear={onYear} />
      </div>
      {shown && (
        <>
          <p className="text-dim">
            {shown.words}
            {!shown.signedOff && ' Provisional.'}{' '}
            <Link to="/visit/$visit" params={{ visit: shown.visit }}>
              To the visit
            </Link>
          </p>
          <label className="mt-3 block max-w-3xl print:hidden">
            <span className="sr-only">Visit of the season</span>
            <input
              type="range"
              min={0}
              max={profiles.length - 1}
              value={index}
              onChange={(event) => setAt(Number(event.target.value))}
              aria-valuetext={plainDay(shown.day)}
              className="h-9 w-full accent-(--ink)"
            />
            <span className="flex justify-between text-dim text-sm">
              <span>{plainDay(profiles[0]?.day ?? shown.day)}</span>
              <span>
                {index + 1} of {profiles.length}; the arrow keys move
              </span>
              <span>{plainDay(profiles.at(-1)?.day ?? shown.day)}</span>
            </span>
          </label>
          <div className="grid gap-x-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
            <Drawing profiles={profiles} index={index} />
            <Levels profile={shown} />
          </div>
          <DataTable
            title={`All levels of ${year}`}
            file={`${code}-profiles-${year}`}
            rows={profiles.flatMap((profile) =>
              profile.levels.map((level) => ({ ...level, visit: profile.visit, day: profile.day })),
            )}
            visitOf={({ visit }) => visit}
            columns={[
              { name: 'day', of: ({ day }) => day, shown: ({ day }) => plainDay(day) },
              { name: 'depth', unit: 'm', of: ({ depthM }) => depthM },
              { name: 'temperature', unit: '°C', of: ({ celsius }) => celsius },
              { name: 'oxygen', unit: 'mg/L', of: ({ oxygenMgL }) => oxygenMgL },
            ]}
          />
        </>
      )}
    </>
  );
}

/** The levels of the visit, beside the picture. */
function Levels({ profile }: { profile: Profile }) {
  return (
    <table className="num self-start text-sm">
      <caption className="sr-only">Levels of {plainDay(profile.day)}</caption>
      <thead>
        <tr className="border-ink border-b text-right">
          <th scope="col" className="py-1">
            m
          </th>
          <th scope="col">°C</th>
          <th scope="col">mg/L O₂</th>
        </tr>
      </thead>
      <tbody>
        {profile.levels.map(({ depthM, celsius, oxygenMgL }) => (
          <tr key={depthM} className="border-rule border-b text-right">
            <th scope="row" className="py-0.5 font-normal">
              {depthM.toFixed(1)}
            </th>
            <td>{celsius?.toFixed(1)}</td>
            <td>{oxygenMgL?.toFixed(1)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Depth down, temperature and oxygen on two axes above; the visits beside it drawn thin. */
function Drawing({ profiles, index }: { profiles: readonly Profile[]; index: number }) {
  const shown = profiles[index];
  return (
    shown && (
      <figure className="m-0 mt-2 min-w-0">
        <ChartFrame
          height={460}
          margins={[64, 12, 14, 52]}
          widest={860}
          label={`Profile of ${plainDay(shown.day)}, depth downward in m, temperature in °C and oxygen in mg/L. The table below gives the numbers.`}
        >
          {(inner) => <Curves profiles={profiles} shown={shown} index={index} inner={inner} />}
        </ChartFrame>
      </figure>
    )
  );
}

function Curves({
  profiles,
  shown,
  index,
  inner,
}: {
  profiles: readonly Profile[];
  shown: Profile;
  index: number;
  inner: Inner;
}) {
  const { left, right, top, bottom } = inner;
  const { deepest, warm, rich } = useMemo(() => {
    const levels = profiles.flatMap((profile) => profile.levels);
    return {
      deepest: Math.max(1, ...levels.map(({ depthM }) => depthM)),
      warm: 5 * Math.ceil(Math.max(20, ...levels.map(({ celsius }) => celsius ?? 0)) / 5),
      rich: 4 * Math.ceil(Math.max(12, ...levels.map(({ oxygenMgL }) => oxygenMgL ?? 0)) / 4),
    };
  }, [profiles]);
  const scale = columnScale(deepest * 1.03, top, bottom);
  const xt = scaleLinear([0, warm], [left, right]);
  const xo = scaleLinear([0, rich], [left, right]);
  const path = ({ levels }: Profile, x: (v: number) => number, key: 'celsius' | 'oxygenMgL') =>
    line<Profile['levels'][number]>(
      (level) => x(level[key] ?? 0),
      (level) => scale.y(level.depthM),
    )(levels.filter((level) => level[key] != null)) ?? '';
  return (
    <>
      <Upright
        inner={inner}
        ticks={plainTicks(niceTicks(deepest))}
        y={scale.y}
        unit="m"
        fill="var(--water0)"
        lines="var(--sheet)"
      />
      {niceTicks(warm).map((celsius) => (
        <text key={celsius} x={xt(celsius)} y={top - 28} textAnchor="middle" fill="var(--ink)">
          {celsius}
        </text>
      ))}
      <text x={right} y={top - 46} textAnchor="end" fill="var(--ink)">
        ● temperature, °C
      </text>
      {niceTicks(rich).map((oxygen) => (
        <text key={oxygen} x={xo(oxygen)} y={top - 8} textAnchor="middle" fill="var(--reed)">
          {oxygen}
        </text>
      ))}
      <text x={left} y={top - 46} fill="var(--reed)">
        ■ oxygen, mg/L
      </text>
      <path d={`M${left} ${top}H${right}`} stroke="var(--ink)" strokeWidth="2" />
      {profiles.map((profile, i) =>
        i === index ? null : (
          <g key={profile.visit} fill="none" opacity={Math.abs(i - index) === 1 ? 0.5 : 0.16}>
            <path d={path(profile, xt, 'celsius')} stroke="var(--ink)" />
            <path d={path(profile, xo, 'oxygenMgL')} stroke="var(--reed)" strokeDasharray="4 3" />
          </g>
        ),
      )}
      {shown.thermoclineM != null && (
        <g>
          <path
            d={`M${left} ${scale.y(shown.thermoclineM)}H${right}`}
            stroke="var(--slate)"
            strokeDasharray="6 4"
            strokeWidth="1.5"
          />
          <Over x={left + 8} y={scale.y(shown.thermoclineM) + 16} fill="var(--slate)">
            thermocline {shown.thermoclineM.toFixed(1)} m
          </Over>
        </g>
      )}
      {shown.clarityM != null && (
        <g>
          <path d={`M${left - 5} ${scale.y(shown.clarityM)}h34`} stroke="var(--ink)" strokeWidth="3" />
          <Over x={left + 36} y={scale.y(shown.clarityM) + 4} fill="var(--ink)">
            disc {shown.clarityM.toFixed(1)} m
          </Over>
        </g>
      )}
      <g fill="none" strokeWidth="2.4">
        <path d={path(shown, xt, 'celsius')} stroke="var(--ink)" />
        <path d={path(shown, xo, 'oxygenMgL')} stroke="var(--reed)" strokeDasharray="7 4" />
      </g>
      {shown.levels.map((level) => (
        <g key={level.depthM}>
          {level.celsius != null && (
            <circle
              cx={xt(level.celsius)}
              cy={scale.y(level.depthM)}
              r="3.4"
              fill={shown.signedOff ? 'var(--ink)' : 'var(--sheet)'}
              stroke="var(--ink)"
            />
          )}
          {level.oxygenMgL != null && (
            <rect
              x={xo(level.oxygenMgL) - 3}
              y={scale.y(level.depthM) - 3}
              width="6"
              height="6"
              fill={shown.signedOff ? 'var(--reed)' : 'var(--sheet)'}
              stroke="var(--reed)"
            />
          )}
        </g>
      ))}
    </>
  );
}

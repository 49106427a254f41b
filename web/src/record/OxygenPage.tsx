import { useState } from 'react';
import { api, type StationRecord } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useComputed } from '../field/useComputed';
import { plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { Worked } from '../ui/Worked';
import { DataTable } from './DataTable';
import { DepthTimeMap } from './DepthTimeMap';
import { fullestRecent, yearsWithProfiles } from './ProfilesPage';
import { YearChoice } from './YearChoice';

/** Oxygen through the seasons: how long and how much of the bottom is without it, how fast the deep water loses it; a season as a map. */
export function OxygenPage({ code, record }: { code: string; record: StationRecord }) {
  const years = yearsWithProfiles(record);
  const [year, setYear] = useState(fullestRecent(record));
  const { data: visits, problem } = usePulled(
    () => api.GET('/api/stations/{code}/oxygen', { params: { path: { code } } }),
    ['oxygen', code],
  );
  const asked = visits && { visits, window: record.context.programme.summary };
  const { seasons } = useComputed('oxygen-seasons', asked).data ?? {};
  if (problem) {
    return <Problem words={problem} />;
  }
  if (year === undefined) {
    return <p className="mt-6">No profile has been read here yet.</p>;
  }
  const season = seasons?.find((one) => one.year === year);
  return (
    <>
      <div className="mt-3 flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl sm:text-3xl">Oxygen and warmth of {year}</h1>
        <YearChoice year={year} years={years} onYear={setYear} />
      </div>
      {season && (
        <p className="text-dim">
          {season.name}: {season.text}. {season.working && <Worked working={season.working}>Show the working</Worked>}
        </p>
      )}
      <Maps key={year} code={code} year={year} />
      {seasons && (
        <DataTable
          title="Season by season"
          file={`${code}-oxygen`}
          rows={seasons.toReversed()}
          columns={[
            { name: 'season', of: (row) => row.name },
            { name: 'profiles', of: (row) => row.visits },
            { name: 'least at the bottom', unit: 'mg/L', of: (row) => row.leastBottomMgL },
            { name: 'hypoxic from', unit: 'm', of: (row) => row.shallowestHypoxicM },
            { name: 'anoxic from', unit: 'm', of: (row) => row.shallowestAnoxicM },
            { name: 'anoxic factor', unit: 'days', of: (row) => row.anoxicFactorDays },
            { name: 'deficit', unit: 'mg/m²/day', of: (row) => row.deficitMgM2Day },
          ]}
        />
      )}
    </>
  );
}

function Maps({ code, year }: { code: string; year: number }) {
  const { data: profiles, problem } = usePulled(
    () => api.GET('/api/stations/{code}/profiles', { params: { path: { code }, query: { year } } }),
    ['profiles', code, year],
  );
  if (problem) {
    return <Problem words={problem} />;
  }
  if (!profiles) {
    return <p className="mt-6 text-dim">Fetching the profiles of {year}…</p>;
  }
  return (
    <>
      <div className="mt-3 grid gap-8 xl:grid-cols-2">
        <DepthTimeMap profiles={profiles} of="oxygen" />
        <DepthTimeMap profiles={profiles} of="temperature" />
      </div>
      <DataTable
        title={`All levels of ${year}`}
        file={`${code}-levels-${year}`}
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
  );
}

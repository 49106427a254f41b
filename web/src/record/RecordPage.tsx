import { Link, useNavigate, useParams, useSearch } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { realStations } from '../field/store';
import { PageFrame } from '../ui/PageFrame';
import { sentence } from '../ui/sentence';
import { OxygenPage } from './OxygenPage';
import { ProfilesPage } from './ProfilesPage';
import { SeriesPage } from './SeriesPage';
import { firstOf } from './series';
import { TogetherPage } from './TogetherPage';
import type { View } from './views';

/** What of a station can be looked at, and under Layers what its profiles give. */
const TABS: readonly (readonly [View, string])[] = [
  ['clarity', 'Clarity'],
  ['profiles', 'Layers'],
  ['chlorophyll', 'Chlorophyll'],
  ['phosphorus', 'Phosphorus'],
  ['together', 'Together'],
];
const LAYERS: readonly (readonly [View, string])[] = [
  ['profiles', 'Profiles'],
  ['oxygen', 'Oxygen'],
  ['bottom-oxygen', 'Bottom oxygen'],
  ['surface-temperature', 'Temperature'],
  ['thermocline', 'Thermocline'],
  ['stability', 'Stability'],
];

/** One station through the years. */
export function RecordPage() {
  const { station: code } = useParams({ from: '/record/$station' });
  const search = useSearch({ from: '/record/$station' });
  const navigate = useNavigate();
  const stations = useLiveQuery(realStations, [])?.toSorted((a, b) => a.ordinal - b.ordinal);
  const chosen = stations?.find((station) => station.code === code);
  if (!stations) {
    return null;
  }
  if (!chosen) {
    return (
      <p className="mx-auto w-full max-w-[78rem] px-4 py-6 sm:px-6">
        Station {code} is not on this device. <Link to="/">To the stations</Link>
      </p>
    );
  }
  const { record } = chosen;
  const first = firstOf(record);
  const { of = first } = search;
  const has = new Set((record.series ?? []).map(({ subject }) => subject));
  const profiled = has.has('surface-temperature');
  const layered = LAYERS.some(([view]) => view === of);
  const present = ([view]: readonly [View, string]) =>
    view === first ||
    view === of ||
    (view === 'clarity' && record.context.history.length > 0) ||
    has.has(view) ||
    ((view === 'profiles' || view === 'oxygen') && profiled) ||
    (view === 'together' && has.has('chlorophyll'));
  // Whatever else a protocol gives to the record stands behind what every station has.
  const named = new Set([...TABS, ...LAYERS].map(([view]) => view));
  const others = (record.series ?? [])
    .filter(({ subject }) => !named.has(subject))
    .map(({ subject, name }) => [subject, sentence(name ?? subject)] as const);
  const tabs = [...TABS.filter((tab) => present(tab) || (layered && tab[0] === 'profiles')), ...others];
  return (
    <PageFrame width="chart">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <label className="min-w-0">
          <span className="sr-only">Station</span>
          <select
            className="field w-auto max-w-full font-bold"
            value={code}
            onChange={(event) =>
              void navigate({ to: '/record/$station', params: { station: event.target.value }, search: { of: search.of } })
            }
          >
            {stations.map((station) => (
              <option key={station.code} value={station.code}>
                {station.record.context.station.water}, {station.record.context.station.name}
              </option>
            ))}
          </select>
        </label>
        <Tabs name="What of it" code={code} tabs={tabs} of={layered ? 'profiles' : of} />
      </div>
      {layered && <Tabs name="What of its layers" code={code} tabs={LAYERS.filter(present)} of={of} />}
      {of === 'profiles' ? (
        <ProfilesPage key={code} code={code} record={record} />
      ) : of === 'oxygen' ? (
        <OxygenPage key={code} code={code} record={record} />
      ) : of === 'together' ? (
        <TogetherPage key={code} code={code} record={record} />
      ) : (
        <SeriesPage key={code + of} code={code} record={record} subject={of} stations={stations} />
      )}
    </PageFrame>
  );
}

function Tabs({ name, code, tabs, of }: { name: string; code: string; tabs: readonly (readonly [View, string])[]; of: View }) {
  return (
    <nav aria-label={name} className="flex flex-wrap gap-x-4 print:hidden">
      {tabs.map(([view, label]) => (
        <Link
          key={view}
          to="/record/$station"
          params={{ station: code }}
          search={{ of: view }}
          aria-current={view === of ? 'page' : undefined}
          className="flex min-h-(--target) items-center text-dim decoration-1 aria-[current=page]:font-bold aria-[current=page]:text-ink aria-[current=page]:no-underline"
        >
          {label}
        </Link>
      ))}
    </nav>
  );
}

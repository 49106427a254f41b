import { Link, useNavigate, useParams, useSearch } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { store } from '../field/store';
import type { View } from '../routes';
import { OxygenPage } from './OxygenPage';
import { ProfilesPage } from './ProfilesPage';
import { SeriesPage } from './SeriesPage';
import type { Subject } from './series';
import { TogetherPage } from './TogetherPage';

/** What of a station can be looked at; each is a tab. */
const TABS: readonly (readonly [View, string])[] = [
  ['clarity', 'Clarity'],
  ['profiles', 'Profiles'],
  ['oxygen', 'Oxygen'],
  ['chlorophyll', 'Chlorophyll'],
  ['phosphorus', 'Phosphorus'],
  ['bottom-oxygen', 'Bottom oxygen'],
  ['surface-temperature', 'Temperature'],
  ['thermocline', 'Thermocline'],
  ['stability', 'Stability'],
  ['together', 'Together'],
];

/** One station through the years. */
export function RecordPage() {
  const { station: code } = useParams({ from: '/record/$station' });
  const { of = 'clarity' } = useSearch({ from: '/record/$station' });
  const navigate = useNavigate();
  const stations = useLiveQuery(() => store.stations.toArray(), [])?.toSorted((a, b) => a.ordinal - b.ordinal);
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
  const has = new Set((record.series ?? []).map(({ subject }) => subject as string));
  const profiled = has.has('surface-temperature');
  const tabs = TABS.filter(
    ([view]) =>
      view === 'clarity' ||
      view === of ||
      has.has(view) ||
      ((view === 'profiles' || view === 'oxygen') && profiled) ||
      (view === 'together' && has.has('chlorophyll')),
  );
  return (
    <div className="mx-auto w-full max-w-[78rem] px-4 py-4 sm:px-6">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <label className="min-w-0">
          <span className="sr-only">Station</span>
          <select
            className="field w-auto max-w-full font-bold"
            value={code}
            onChange={(event) =>
              void navigate({ to: '/record/$station', params: { station: event.target.value }, search: { of } })
            }
          >
            {stations.map((station) => (
              <option key={station.code} value={station.code}>
                {station.record.context.station.water}, {station.record.context.station.name}
              </option>
            ))}
          </select>
        </label>
        <nav aria-label="What of it" className="flex flex-wrap gap-x-4">
          {tabs.map(([view, name]) => (
            <Link
              key={view}
              to="/record/$station"
              params={{ station: code }}
              search={{ of: view }}
              aria-current={view === of ? 'page' : undefined}
              className="flex min-h-(--target) items-center text-dim decoration-1 aria-[current=page]:font-bold aria-[current=page]:text-ink aria-[current=page]:no-underline"
            >
              {name}
            </Link>
          ))}
        </nav>
      </div>
      {of === 'profiles' ? (
        <ProfilesPage key={code} code={code} record={record} />
      ) : of === 'oxygen' ? (
        <OxygenPage key={code} code={code} record={record} />
      ) : of === 'together' ? (
        <TogetherPage key={code} code={code} record={record} />
      ) : (
        <SeriesPage key={code + of} code={code} record={record} subject={of as Subject} stations={stations} />
      )}
    </div>
  );
}

import { Link } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { api } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useProtocolName } from '../field/boxes';
import { store } from '../field/store';
import { dayAndTime, shortDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';

/** The outings to come, the next one first; with no signal those that are on this device. */
export function PreparePage() {
  const protocolName = useProtocolName();
  const outings = usePulled(() => api.GET('/api/outings'), ['outings']);
  const kept = useLiveQuery(() => store.outings.toArray(), []);
  const packed = new Map((kept ?? []).filter((row) => row.packedAt).map((row) => [row.key, row]));
  const first = outings.data?.[0];
  return (
    <PageFrame>
      <h1 className="text-2xl sm:text-3xl">Which outing?</h1>
      <p className="mt-1 text-dim">One water and one day: what to take, whether to go, labels and sheets.</p>
      {outings.problem && packed.size === 0 && <Problem words={outings.problem} />}
      {outings.data?.length === 0 && (
        <p className="mt-5 max-w-prose">
          Nothing is to come this year. <Link to="/season">The season</Link> says why, and what is due when.
        </p>
      )}
      {!outings.data && packed.size > 0 && (
        <ul className="mt-4 border-ink border-t-[1.5px]">
          {[...packed.values()].map(({ key, outing }) => (
            <li key={key} className="flex items-center gap-4 border-rule border-b py-3">
              <span className="min-w-0 flex-1 text-lg">
                {shortDay(outing.day)}: {outing.stops[0]?.station.water}
                <span className="block text-dim text-sm">on this device</span>
              </span>
              <Link
                to="/prepare/$day/$water"
                params={{ day: outing.day, water: outing.stops[0]?.station.waterCode ?? '' }}
                className="act"
              >
                Open
              </Link>
            </li>
          ))}
        </ul>
      )}
      <ul className="mt-4 border-ink border-t-[1.5px]">
        {outings.data?.slice(0, 20).map((outing) => (
          <li
            key={`${outing.day} ${outing.waterCode}`}
            className="grid grid-cols-[1fr_auto] items-center gap-x-6 gap-y-1 border-rule border-b py-3 sm:grid-cols-[8rem_1fr_auto]"
          >
            <b className={`num max-sm:col-span-2 ${outing.today ? 'text-buoy' : ''}`}>
              {outing.today ? 'today' : shortDay(outing.day)}
            </b>
            <span className="min-w-0">
              <span className="text-lg">
                {outing.water}: {outing.names.join(', then ')}
              </span>
              <span className="block text-dim text-sm">
                {outing.protocols.map((protocol) => protocolName(protocol)).join(', ')}
                {outing.leaveBy && ` · to the lab, leave by ${dayAndTime(outing.leaveBy)}`}
                {packed.has(`${outing.day} ${outing.waterCode}`) && ' · packed on this device'}
              </span>
            </span>
            <Link
              to="/prepare/$day/$water"
              params={{ day: outing.day, water: outing.waterCode }}
              className={`act ${outing === first ? 'act-next' : ''}`}
            >
              Prepare
              <span className="sr-only">
                {' '}
                {outing.water}, {shortDay(outing.day)}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </PageFrame>
  );
}

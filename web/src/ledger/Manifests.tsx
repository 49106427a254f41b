import { Link } from '@tanstack/react-router';
import { api } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useSession } from '../people/session';
import { clockTime, shortDay } from '../ui/days';

/** The last manifests, and the way in for results. */
export function Manifests() {
  const { known } = useSession();
  const manifests = usePulled(() => api.GET('/api/manifests'), ['manifests']);
  return (
    <section className="mt-9 max-w-3xl" aria-label="Manifests">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="caps">Manifests</h2>
        {known?.reports && (
          <Link to="/ledger/results" className="text-sm">
            Bring in a results file
          </Link>
        )}
      </div>
      {manifests.problem && <p className="text-dim text-sm">The list of manifests needs a signal.</p>}
      {manifests.data?.length === 0 && <p className="text-dim text-sm">Nothing has been handed over yet.</p>}
      <ul className="mt-1 border-rule border-t">
        {manifests.data?.slice(0, 12).map((manifest) => (
          <li key={manifest.id} className="border-rule border-b">
            <Link
              to="/ledger/manifest/$id"
              params={{ id: manifest.id }}
              className="grid min-h-11 grid-cols-[10.5rem_1fr_auto] items-center gap-x-4 py-1 text-ink no-underline max-sm:grid-cols-[1fr_auto]"
            >
              <span className="underline decoration-1 underline-offset-3">
                {shortDay(manifest.leftAt)} {clockTime(manifest.leftAt)}
              </span>
              <span className="min-w-0 text-sm max-sm:col-span-2 max-sm:row-start-2">
                {manifest.count} {manifest.count === 1 ? 'sample' : 'samples'}, {manifest.waters.join(', ')}
              </span>
              <span className={`text-sm ${manifest.onTheRoad > 0 ? 'text-buoy' : manifest.open > 0 ? 'text-ink' : 'text-reed'}`}>
                {manifest.onTheRoad > 0
                  ? `${manifest.onTheRoad} on the road`
                  : manifest.open > 0
                    ? `${manifest.open} to measure`
                    : '✓ all ended'}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

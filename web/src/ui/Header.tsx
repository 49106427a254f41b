import { Link, useLocation } from '@tanstack/react-router';
import { Mark } from './Mark';
import { OnThisDevice } from './OnThisDevice';
import { Preferences } from './Preferences';

const PLACES = [
  {
    to: '/',
    name: 'On the water',
    owns: (path: string) => path === '/' || path.startsWith('/visit') || path.startsWith('/start'),
  },
  { to: '/record', name: 'Record', owns: (path: string) => path.startsWith('/record') },
] as const;

export function Header() {
  const path = useLocation({ select: (location) => location.pathname });
  return (
    <header className="print:hidden flex flex-wrap items-stretch gap-x-5 border-ink max-sm:gap-x-3 border-b-[1.5px] px-4 sm:px-6">
      <Link
        to="/"
        className="flex items-center gap-2.5 py-2 font-bold text-ink text-xl no-underline"
        aria-label="Upper Still, home"
      >
        <Mark />
        <span className="max-sm:hidden">Upper Still</span>
      </Link>
      <nav
        aria-label="Places"
        className={`flex gap-4 max-sm:gap-3 max-sm:text-sm ${path.startsWith('/visit') ? 'boat:hidden' : ''}`}
      >
        {PLACES.map((place) => (
          <Link
            key={place.to}
            to={place.to}
            aria-current={place.owns(path) ? 'page' : undefined}
            className="relative flex min-h-12 items-center text-dim no-underline aria-[current=page]:font-bold aria-[current=page]:text-ink"
          >
            {place.name}
            {place.owns(path) && (
              <span
                className="-bottom-[7px] -translate-x-1/2 absolute left-1/2 size-3 rounded-full border border-ink bg-buoy"
                aria-hidden="true"
              />
            )}
          </Link>
        ))}
      </nav>
      <div className="ml-auto flex items-center gap-3 max-sm:gap-0">
        <OnThisDevice />
        <Preferences />
      </div>
    </header>
  );
}

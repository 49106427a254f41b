import { Link, useLocation } from '@tanstack/react-router';
import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useSession } from '../people/session';
import { Mark } from './Mark';
import { OnThisDevice } from './OnThisDevice';
import { Preferences } from './Preferences';
import { PLACES, type Place } from './places';
import { Trouble } from './Trouble';

export function Header() {
  const path = useLocation({ select: (location) => location.pathname });
  const { known } = useSession();
  const places = known ? PLACES.filter((place) => place.opensTo(known)) : [];
  const here = places.find((place) => place.owns(path));
  return (
    <>
      <header className="print:hidden flex flex-wrap items-stretch gap-x-5 border-ink max-sm:gap-x-3 border-b-[1.5px] px-4 sm:px-6">
        <Link
          to="/"
          className="flex items-center gap-2.5 py-2 font-bold text-ink text-xl no-underline"
          aria-label="Upper Still, home"
        >
          <Mark />
          <span className="max-lg:hidden">Upper Still</span>
        </Link>
        <div className={`flex ${path.startsWith('/visit') ? 'boat:hidden' : ''}`}>
          <nav aria-label="Places" className="flex gap-4 max-md:hidden">
            {places.map((place) => (
              <PlaceLink key={place.to} place={place} current={place === here} />
            ))}
          </nav>
          {places.length > 0 && <PlacesMenu places={places} here={here} />}
        </div>
        <div className="ml-auto flex items-center gap-3 max-sm:gap-0">
          <OnThisDevice />
          <Preferences />
        </div>
      </header>
      <Trouble />
    </>
  );
}

function PlaceLink({ place, current }: { place: Place; current: boolean }) {
  return (
    <Link
      to={place.to}
      aria-current={current ? 'page' : undefined}
      className="relative flex min-h-12 items-center text-dim no-underline aria-[current=page]:font-bold aria-[current=page]:text-ink"
    >
      {place.name}
      {current && (
        <span
          className="-bottom-[7px] -translate-x-1/2 absolute left-1/2 size-3 rounded-full border border-ink bg-buoy"
          aria-hidden="true"
        />
      )}
    </Link>
  );
}

/** On a narrow screen the places fold away behind the name of the one that is open. */
function PlacesMenu({ places, here }: { places: readonly Place[]; here: Place | undefined }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="flex min-h-12 items-center gap-1 font-bold md:hidden">
        {here?.name ?? 'Places'} <ChevronDown size={18} aria-hidden="true" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Places"
          align="start"
          sideOffset={4}
          className="z-20 w-64 border-[1.5px] border-ink bg-sheet p-2 shadow-lg"
        >
          <nav aria-label="Places">
            {places.map((place) => (
              <Link
                key={place.to}
                to={place.to}
                aria-current={place === here ? 'page' : undefined}
                onClick={() => setOpen(false)}
                className="flex min-h-(--target) items-center px-3 text-ink text-lg no-underline aria-[current=page]:font-bold"
              >
                {place.name}
              </Link>
            ))}
          </nav>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

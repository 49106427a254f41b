import { Link, Outlet } from '@tanstack/react-router';
import { useBoxesKnown } from '../field/boxes';
import { useSession } from '../people/session';
import { PageFrame } from '../ui/PageFrame';
import { Waiting } from '../ui/Waiting';

const PARTS = [
  { to: '/setup/waters', name: 'Waters and stations', all: false },
  { to: '/setup/programmes', name: 'Programmes', all: true },
  { to: '/setup/kit', name: 'Kit', all: false },
  { to: '/setup/laboratory', name: 'Laboratory and days', all: true },
  { to: '/setup/people', name: 'People', all: true },
  { to: '/setup/data', name: 'Data', all: false },
] as const;

/** What is set up ashore, part by part. */
export function SetupPage() {
  const { known, person } = useSession();
  const boxes = useBoxesKnown();
  const parts = PARTS.filter((part) => !part.all || known?.coordinatesAll);
  return (
    <PageFrame>
      <nav aria-label="Set-up" className="mb-5 flex flex-wrap gap-x-5 border-rule border-b">
        {parts.map((part) => (
          <Link
            key={part.to}
            to={part.to}
            className="flex min-h-11 items-center border-transparent border-b-[3px] text-dim no-underline aria-[current=page]:border-ink aria-[current=page]:font-bold aria-[current=page]:text-ink"
          >
            {part.name}
          </Link>
        ))}
      </nav>
      {person?.secondFactorDue && (
        <p className="mb-5 border-buoy border-l-4 bg-sheet px-4 py-2">
          Whoever learns your password could change all of this.{' '}
          <Link to="/account">Have a code of your phone asked for, too</Link>
        </p>
      )}
      {boxes ? <Outlet /> : <Waiting problem="" words="Opening the set-up…" />}
    </PageFrame>
  );
}

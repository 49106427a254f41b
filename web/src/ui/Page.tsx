import { Outlet, useLocation } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState, useSyncExternalStore } from 'react';
import { currentReach, watchReach } from '../field/delivery';
import { store } from '../field/store';
import { LinkNotice } from '../people/LinkNotice';
import { SignInPage } from '../people/SignInPage';
import { useSession } from '../people/session';
import { Header } from './Header';

export function Page() {
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-3">
        To the page
      </a>
      <Header />
      <main id="main" className="flex min-h-0 flex-1 flex-col">
        <Door />
      </main>
    </div>
  );
}

/** Lets in who is known on this device; with no signal, too. */
function Door() {
  const { known, person } = useSession();
  const path = useLocation({ select: (location) => location.pathname });
  const reach = useSyncExternalStore(watchReach, currentReach);
  const waiting = useLiveQuery(() => store.entries.where('state').equals('waiting').count(), []) ?? 0;
  const [signingIn, setSigningIn] = useState(false);
  if (path === '/welcome') {
    return <Outlet />;
  }
  if (known === undefined || (!known && person === undefined && reach.server !== false)) {
    return null;
  }
  if (known && person !== null) {
    return (
      <>
        {/* Not on the water, where it would move what a finger is about to touch; on the account page it stands anyway. */}
        {path !== '/account' && !path.startsWith('/visit/') && <LinkNotice />}
        <Outlet />
      </>
    );
  }
  if (person === null && (!known || signingIn)) {
    return <SignInPage waiting={waiting} />;
  }
  if (!known) {
    return (
      <div className="p-6">
        <h1 className="text-2xl">Nobody has signed in on this device yet</h1>
        <p className="mt-2">That needs a signal once. After that everything works without. This page goes on by itself.</p>
      </div>
    );
  }
  return (
    <>
      <p
        className="flex flex-wrap items-center gap-x-4 gap-y-1 border-buoy border-b-[1.5px] bg-sheet px-4 py-2 sm:px-6"
        role="alert"
      >
        <span className="min-w-0 flex-1">
          <b>The sign-in of {known.name} has lapsed.</b> Work goes on; sign in to send what is on this device.
        </span>
        <button type="button" className="act" onClick={() => setSigningIn(true)}>
          Sign in
        </button>
      </p>
      <Outlet />
    </>
  );
}

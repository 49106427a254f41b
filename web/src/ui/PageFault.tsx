import type { ErrorComponentProps } from '@tanstack/react-router';
import { home } from '../api/home';

/** In place of a page that could not be shown: what happened, and the ways back. The rest of the application stands. */
export function PageFault({ error, reset }: ErrorComponentProps) {
  return (
    <div className="max-w-2xl p-6" role="alert">
      <h1 className="text-2xl">This page could not be shown</h1>
      <p className="mt-2">
        Upper Still failed here: <i>{(error as Error).message}</i>. Nothing that was written is lost: it stands on this device,
        and goes to the server as before. Try again; if it fails again, tell whoever runs it.
      </p>
      <p className="mt-4 flex flex-wrap items-center gap-3">
        <button type="button" className="act act-next" onClick={reset}>
          Try again
        </button>
        <a className="act-quiet" href={home.href}>
          To the stations
        </a>
      </p>
    </div>
  );
}

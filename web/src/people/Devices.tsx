import { useState } from 'react';
import { asked } from '../api/asked';
import { api } from '../api/client';
import { plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import type { Account } from './AccountPage';
import { deviceWords } from './deviceWords';

/** Where somebody is signed in; a device that was lost is shut out from here. */
export function Devices({ sessions, onChanged }: { sessions: Account['sessions']; onChanged(): Promise<void> }) {
  const [problem, setProblem] = useState('');
  return (
    <section className="mt-6" aria-label="Devices">
      <h2 className="text-xl">Signed in on {sessions.length === 1 ? 'this device' : `${sessions.length} devices`}</h2>
      <p className="text-dim">End what is lost or not yours. What waits on a device stays there until somebody signs in on it.</p>
      <Problem words={problem} />
      <ul className="mt-2 border-ink border-t-[1.5px]">
        {sessions.map((session) => (
          <li key={session.id} className="flex flex-wrap items-center gap-x-6 gap-y-1 border-rule border-b py-2">
            <p className="min-w-0 flex-1 break-words">
              <b>{deviceWords(session.device)}</b>
              {session.this && ' (this one)'}
              <span className="block text-dim text-sm">
                since {plainDay(session.began)}, last seen {plainDay(session.seen)}, from {session.address}
              </span>
            </p>
            {!session.this && (
              <button
                type="button"
                className="act"
                onClick={async () => {
                  const { problem: refused } = await asked(() =>
                    api.DELETE('/api/account/sessions/{id}', { params: { path: { id: session.id } } }),
                  );
                  setProblem(refused);
                  await onChanged();
                }}
              >
                End it<span className="sr-only"> on {deviceWords(session.device)}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

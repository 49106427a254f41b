import { useState } from 'react';
import { api } from '../api/client';
import { usePulled } from '../api/usePulled';
import { clockTime, plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';

const SHOWN = 20;
const WORDS: Record<string, string> = {
  'signed-in': 'signed in',
  refused: 'was refused: name, password or code did not fit',
  locked: 'was not let in: too many wrong tries from there',
  'signed-out': 'signed out',
  'session-ended': 'a session was ended',
  'password-changed': 'changed the password',
  'second-factor-on': 'set up the second factor',
  'second-factor-off': 'the second factor was taken away',
  'link-made': 'a link to choose a password was made',
  'link-allowed': 'opened the link to their account',
  'link-stopped': 'stopped the link to their account',
  'link-used': 'came in by the link',
  'roles-changed': 'roles or waters were set',
};

/** Who came in, who was refused, what was granted. */
export function AccountEvents() {
  const { data, problem } = usePulled(() => api.GET('/api/people/events'));
  const [all, setAll] = useState(false);
  const list = data ?? [];
  return (
    <section className="mt-10" aria-label="What happened to accounts">
      <h2 className="text-xl">What happened to accounts</h2>
      <p className="text-dim">The newest first. Times are UTC.</p>
      <Problem words={problem} />
      <ul className="mt-2 border-ink border-t-[1.5px] text-sm">
        {list.slice(0, all ? undefined : SHOWN).map(({ sequence, at, what, signInName, name, by, address }) => (
          <li key={sequence} className="grid gap-x-4 border-rule border-b py-1.5 sm:grid-cols-[13.5rem_1fr_auto]">
            <span className="num text-dim">
              {plainDay(at)}, {clockTime(at)}
            </span>
            <span className="min-w-0 break-words">
              <b>{name ?? `“${signInName}”`}</b> {WORDS[what] ?? what}
              {by && `, by ${by}`}
            </span>
            <span className="num text-dim">{address}</span>
          </li>
        ))}
      </ul>
      {!all && list.length > SHOWN && (
        <button type="button" className="act mt-3" onClick={() => setAll(true)}>
          Show the last {list.length}
        </button>
      )}
    </section>
  );
}

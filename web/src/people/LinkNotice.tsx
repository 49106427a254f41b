import { useState } from 'react';
import { asked } from '../api/asked';
import { api } from '../api/client';
import { plainDay } from '../ui/days';
import { renewSession, useSession } from './session';

/** A link was made by which this account's password can be set anew: its holder says whether they asked for it. */
export function LinkNotice() {
  const { person } = useSession();
  const [problem, setProblem] = useState('');
  if (!person?.link) {
    return null;
  }
  const { by, from } = person.link;

  async function say(path: '/api/account/link/open' | '/api/account/link/stop') {
    const { problem: refused } = await asked(() => api.POST(path));
    setProblem(refused);
    await renewSession();
  }

  return (
    <div
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-madder border-b-[1.5px] bg-sheet px-4 py-2 sm:px-6"
      role="alert"
    >
      <span className="min-w-0 flex-1 basis-64">
        <b>{by} made a link by which the password of your account can be set anew.</b> It works from {plainDay(from)} on. Did you
        ask for it?
        {problem && <span className="block">{problem}</span>}
      </span>
      <button type="button" className="act" onClick={() => void say('/api/account/link/open')}>
        Yes, open it now
      </button>
      <button type="button" className="act" onClick={() => void say('/api/account/link/stop')}>
        No, stop it
      </button>
    </div>
  );
}

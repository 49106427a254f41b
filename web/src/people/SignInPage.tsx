import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { refreshNow } from '../field/delivery';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { CodeField, SECOND_FACTOR } from './CodeField';
import { grantWords } from './roles';
import { takeSession, useSession } from './session';

/** Before anyone is signed in there is no list of waters to look in. */
function nameFromCode(code: string): string {
  return code.replace(/(^|-)(\w)/g, (_, hyphen: string, letter: string) => (hyphen && ' ') + letter.toUpperCase());
}

/** Who are you? In the demo, one touch; else a name and a password. */
export function SignInPage({ waiting = 0 }: { waiting?: number }) {
  const { demoAccounts, firstNeeded } = useSession();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState<string>();
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);

  async function enter(given: Schemas['SignIn']) {
    setBusy(true);
    let asksCode = false;
    const { data, problem: refused } = await asked(async () => {
      const answer = await api.POST('/api/session', { body: given });
      asksCode = answer.error?.type === SECOND_FACTOR;
      return answer;
    }, 'The server could not be reached. Signing in needs a signal once; after that everything works without.');
    // Asked for the first time it is no fault.
    setProblem(asksCode && given.code === undefined ? '' : refused);
    setCode(asksCode ? '' : undefined);
    if (data) {
      await takeSession(data);
      refreshNow();
    }
    setBusy(false);
  }

  return (
    <div className="mx-auto w-full max-w-xl px-4 py-8 sm:px-6">
      <h1 className="text-3xl">Who is at the water?</h1>
      {waiting > 0 && (
        <p className="mt-3 border-buoy border-l-4 pl-3">
          <b>{waiting === 1 ? 'One entry waits' : `${waiting} entries wait`} on this device.</b> Nothing is lost; all is sent as
          soon as someone has signed in.
        </p>
      )}
      {firstNeeded && (
        <p className="mt-3 border border-rule bg-sheet p-4">
          Nobody is in this group yet. The link that makes its first coordinator stands in the file first-coordinator.txt of its
          data folder: open it.
        </p>
      )}
      {demoAccounts.length > 0 && (
        <section className="mt-5" aria-label="Accounts of the demo">
          <p className="text-dim">
            This is the demo: a made-up district, on one day in August. These accounts exist in the demo only.
          </p>
          <ul className="mt-3 border-ink border-t-[1.5px]">
            {demoAccounts.map((account, i) => (
              <li key={account.signInName} className="flex items-center gap-4 border-rule border-b py-3">
                <p className="min-w-0 flex-1">
                  <b className="text-lg">{account.name}</b>
                  <span className="block text-dim text-sm">
                    {account.grants.map((grant) => grantWords(grant, nameFromCode)).join('; ')}
                  </span>
                </p>
                <button
                  type="button"
                  className={i === 0 ? 'act act-next' : 'act'}
                  disabled={busy}
                  onClick={() => void enter({ signInName: account.signInName, password: account.password })}
                  aria-label={`Go in as ${account.name}`}
                >
                  Go in
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Problem words={problem} />
      <form
        className="mt-5"
        onSubmit={(event) => {
          event.preventDefault();
          void enter({ signInName: name, password, ...(code !== undefined && { code }) });
        }}
      >
        {demoAccounts.length > 0 && <h2 className="caps">With a name and a password</h2>}
        <TextField label="Sign-in name" value={name} onChange={setName} autoComplete="username" />
        <TextField label="Password" type="password" value={password} onChange={setPassword} autoComplete="current-password" />
        {code !== undefined && <CodeField code={code} onChange={setCode} />}
        <button
          type="submit"
          className={`act mt-5 ${demoAccounts.length > 0 ? '' : 'act-next'}`}
          disabled={busy || !name.trim() || !password || code === ''}
        >
          Sign in
        </button>
      </form>
      <p className="mt-6 text-dim text-sm">
        Signed in once, this device works with no signal for the season. No account? A coordinator of your group can give you a
        link.
      </p>
    </div>
  );
}

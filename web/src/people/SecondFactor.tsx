import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import type { Account } from './AccountPage';
import { renewSession, useSession } from './session';

/** Six digits of an app, asked for after the password: for whoever coordinates, above all. */
export function SecondFactor({ account, onChanged }: { account: Account; onChanged(): Promise<void> }) {
  const { known } = useSession();
  const [secret, setSecret] = useState<Schemas['SecondFactorSecret']>();
  const [codes, setCodes] = useState<string[]>([]);
  const [code, setCode] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState('');

  async function renewed() {
    await renewSession();
    await onChanged();
  }

  async function begin() {
    const { data, problem: refused } = await asked(() => api.POST('/api/account/second-factor'));
    setProblem(refused);
    setSecret(data);
  }

  async function confirm() {
    const { data, problem: refused } = await asked(() => api.PUT('/api/account/second-factor', { body: { code } }));
    setProblem(refused);
    if (data) {
      setCodes(data.codes);
      setSecret(undefined);
      setCode('');
      await renewed();
    }
  }

  async function end() {
    const { data, problem: refused } = await asked(() => api.POST('/api/account/second-factor/off', { body: { password } }));
    setProblem(refused);
    if (data) {
      setPassword('');
      setCodes([]);
      await renewed();
    }
  }

  return (
    <section className="mt-8" aria-label="Second factor">
      <h2 className="text-xl">Second factor</h2>
      {account.secondFactor ? (
        <>
          <p>
            <b className="text-reed">✓ A code of your app is asked for</b> when you sign in. {account.recoveryCodes} recovery{' '}
            {account.recoveryCodes === 1 ? 'code is' : 'codes are'} left.
          </p>
          {codes.length > 0 && (
            <div className="mt-3 panel">
              <p>
                <b>Write these down now; they are not shown again.</b> Each opens the account once where the app is lost.
              </p>
              <ul className="num mt-2 columns-2 text-lg">
                {codes.map((one) => (
                  <li key={one}>{one}</li>
                ))}
              </ul>
            </div>
          )}
          <form
            className="mt-2"
            onSubmit={(event) => {
              event.preventDefault();
              void end();
            }}
          >
            <TextField
              label="Your password, to take it away"
              type="password"
              value={password}
              onChange={setPassword}
              autoComplete="current-password"
            />
            <Problem words={problem} />
            <button type="submit" className="act mt-3" disabled={!password}>
              Take it away
            </button>
          </form>
        </>
      ) : secret ? (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void confirm();
          }}
        >
          <p>Scan this with an app that shows codes, or type the secret into it. Then type the six digits that it shows.</p>
          <div className="mt-3 flex flex-wrap items-start gap-6">
            <svg
              viewBox={`0 0 ${secret.size} ${secret.size}`}
              className="size-48 bg-white"
              role="img"
              aria-label="The secret as a QR code"
              shapeRendering="crispEdges"
            >
              <path d={secret.path} fill="black" />
            </svg>
            <div className="min-w-0 flex-1 basis-60">
              <p className="caps">The secret</p>
              <p className="num break-all text-lg">{secret.secret.replace(/(.{4})/g, '$1 ')}</p>
              <TextField
                label="Six digits of the app"
                value={code}
                onChange={setCode}
                inputMode="numeric"
                autoComplete="one-time-code"
                maxLength={10}
              />
            </div>
          </div>
          <Problem words={problem} />
          <div className="mt-4 flex gap-3">
            <button type="submit" className="act act-next" disabled={!code.trim()}>
              Ask for it from now on
            </button>
            <button type="button" className="act" onClick={() => setSecret(undefined)}>
              Not now
            </button>
          </div>
        </form>
      ) : (
        <>
          <p className="text-dim">
            After the password, six digits of an app on your phone are asked for: a password that somebody has seen does not open
            your account.
            {known?.coordinates && ' You coordinate: whoever takes your account could change everything. Set it up.'}
          </p>
          <Problem words={problem} />
          <button type="button" className="act mt-3" onClick={() => void begin()}>
            Set it up…
          </button>
        </>
      )}
    </section>
  );
}

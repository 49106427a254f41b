import { useState } from 'react';
import { asked } from '../api/asked';
import { api } from '../api/client';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { renewSession } from './session';

/** Another password; every other device has to sign in anew. */
export function NewPassword({ onChanged }: { onChanged(): Promise<void> }) {
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState('');
  const [done, setDone] = useState(false);

  async function change() {
    const { data, problem: refused } = await asked(() => api.POST('/api/account/password', { body: { current, password } }));
    setProblem(refused);
    setDone(data !== undefined);
    if (data) {
      setCurrent('');
      setPassword('');
      await renewSession();
      await onChanged();
    }
  }

  return (
    <section className="mt-8" aria-label="Password">
      <h2 className="text-xl">Another password</h2>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void change();
        }}
      >
        <TextField
          label="Your present password"
          type="password"
          value={current}
          onChange={setCurrent}
          autoComplete="current-password"
        />
        <TextField
          label="The new one"
          type="password"
          value={password}
          onChange={setPassword}
          autoComplete="new-password"
          hint="At least ten letters or signs. Four plain words are better than one strange one. Other devices have to sign in anew."
        />
        <Problem words={problem} />
        <button type="submit" className="act mt-4" disabled={!current || !password}>
          Change the password
        </button>
        <p role="status" className="mt-1">
          {done && 'Changed. Your other devices have been signed out.'}
        </p>
      </form>
    </section>
  );
}

import { useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { asked } from '../api/asked';
import { api } from '../api/client';
import { refreshNow } from '../field/delivery';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { CodeField, SECOND_FACTOR } from './CodeField';
import { askSession, takeSession } from './session';

/** Behind a one-time link: the first coordinator of a group, or someone invited to it. */
export function WelcomePage() {
  // Links of before stood in the query; what stands in the fragment is sent to nobody.
  const [link] = useState(() => new URLSearchParams(location.hash.length > 1 ? location.hash.slice(1) : location.search));
  const [first, person, token] = [link.get('first'), link.get('person'), link.get('token')];
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [signInName, setSignInName] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState<string>();
  const [problem, setProblem] = useState('');

  async function enter() {
    const { data, problem: refused } = await asked(async () => {
      await askSession();
      if (first) {
        return await api.POST('/api/session/first', { body: { token: first, name, signInName, password } });
      }
      const answer = await api.POST('/api/session/welcome', {
        body: { person: person ?? '', token: token ?? '', password, ...(code !== undefined && { code }) },
      });
      if (answer.error?.type === SECOND_FACTOR) {
        setCode((before) => before ?? '');
      }
      return answer;
    }, 'The server could not be reached. Try again where there is a signal.');
    setProblem(refused);
    if (data) {
      await takeSession(data);
      refreshNow();
      await navigate({ to: first ? '/setup' : '/' });
    }
  }

  if (!first && !(person && token)) {
    return (
      <div className="p-6">
        <h1 className="text-2xl">This link is not whole</h1>
        <p className="mt-2">Copy all of it, up to its end, or ask a coordinator for a new one.</p>
      </div>
    );
  }
  return (
    <form
      className="mx-auto w-full max-w-xl px-4 py-8 sm:px-6"
      onSubmit={(event) => {
        event.preventDefault();
        void enter();
      }}
    >
      <h1 className="text-3xl">{first ? 'The first coordinator' : 'Welcome to the group'}</h1>
      <p className="mt-2 text-dim">
        {first
          ? 'You set up waters, stations and programmes, and invite the others.'
          : 'Choose a password. Then this device works with no signal for the season.'}
      </p>
      {first && (
        <>
          <TextField
            label="Your name"
            value={name}
            onChange={setName}
            autoComplete="name"
            maxLength={100}
            hint="It stands beside what you read and change."
          />
          <TextField
            label="Sign-in name"
            value={signInName}
            onChange={setSignInName}
            autoComplete="username"
            maxLength={100}
            hint="Letters, digits and . - _ @; an e-mail address will do."
          />
        </>
      )}
      <TextField
        label="Password"
        type="password"
        value={password}
        onChange={setPassword}
        autoComplete="new-password"
        hint="At least ten letters or signs. Four plain words are better than one strange one."
      />
      {code !== undefined && <CodeField code={code} onChange={setCode} />}
      <Problem words={problem} />
      <button
        type="submit"
        className="act act-next mt-5"
        disabled={password.length === 0 || (first !== null && !(name.trim() && signInName.trim()))}
      >
        {first ? 'Begin' : 'Go in'}
      </button>
    </form>
  );
}

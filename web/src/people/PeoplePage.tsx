import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { addressOf } from '../api/home';
import { usePulled } from '../api/usePulled';
import { Check } from '../ui/Check';
import { clockTime, plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { AccountEvents } from './AccountEvents';
import { GrantsField } from './GrantsField';
import { RecordNames } from './RecordNames';
import { grantWords } from './roles';
import { TrainingOf } from './TrainingOf';

type Person = Schemas['PersonInfo'];
type Water = Schemas['Water'];

const NOBODY: Schemas['PersonChange'] = { name: '', signInName: '', grants: [{ role: 'sampler' }], active: true };

/** Everyone of the group: what they may do, and the link by which they come in. */
export function PeoplePage() {
  const people = usePulled(() => api.GET('/api/people'));
  const waters = usePulled(() => api.GET('/api/waters'));
  const [open, setOpen] = useState<string>();
  const list = (waters.data ?? []).map((info) => info.water);
  const nameOf = (code: string) => list.find((water) => water.code === code)?.name ?? code;
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <h1 className="flex-1 text-2xl sm:text-3xl">People</h1>
        {open === undefined && (
          <button type="button" className="act act-next" onClick={() => setOpen('new')}>
            Add a person
          </button>
        )}
      </div>
      <Problem words={people.problem} />
      {open === 'new' && (
        <div className="mt-4 border border-ink bg-sheet p-4">
          <PersonForm
            given={NOBODY}
            waters={list}
            onKept={async (person) => {
              await people.again();
              setOpen(person.id);
            }}
            onCancel={() => setOpen(undefined)}
          />
        </div>
      )}
      <ul className="mt-4 border-ink border-t-[1.5px]">
        {people.data?.map((person) => (
          <li key={person.id} className="border-rule border-b py-3">
            <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
              <div className="min-w-0 flex-1">
                <h2 className={`break-words text-lg ${person.active ? '' : 'text-dim line-through'}`}>{person.name}</h2>
                <p className="break-words text-dim text-sm">
                  {person.signInName} · {person.grants.map((grant) => grantWords(grant, nameOf)).join('; ') || 'no role'}
                  {!person.joined && person.active && ' · has not come in yet'}
                  {!person.active && ' · has left the group'}
                  {person.secondFactor && ' · second factor'}
                </p>
              </div>
              <button
                type="button"
                className="act"
                aria-expanded={open === person.id}
                onClick={() => setOpen(open === person.id ? undefined : person.id)}
              >
                {open === person.id ? 'Close' : 'Change'}
                <span className="sr-only"> {person.name}</span>
              </button>
            </div>
            {open === person.id && (
              <div className="mt-3 bg-sheet p-4">
                <TrainingOf person={person} />
                {person.active && <LinkFor person={person} />}
                {person.joined && <ShutOut person={person} onDone={people.again} />}
                <PersonForm
                  key={person.id}
                  id={person.id}
                  given={person}
                  waters={list}
                  onKept={async () => {
                    await people.again();
                    setOpen(undefined);
                  }}
                  onCancel={() => setOpen(undefined)}
                />
              </div>
            )}
          </li>
        ))}
      </ul>
      {people.data && <RecordNames people={people.data} />}
      <AccountEvents />
    </>
  );
}

interface FormProps {
  id?: string;
  given: Schemas['PersonChange'];
  waters: Water[];
  onKept(person: Person): Promise<void>;
  onCancel(): void;
}

function PersonForm({ id, given, waters, onKept, onCancel }: FormProps) {
  const [person, setPerson] = useState<Schemas['PersonChange']>({
    name: given.name,
    signInName: given.signInName,
    grants: given.grants,
    active: given.active,
  });
  const [problem, setProblem] = useState('');
  const change = (part: Partial<Schemas['PersonChange']>) => setPerson({ ...person, ...part });

  async function keep() {
    const { data, problem: refused } = await asked(() =>
      id ? api.PUT('/api/people/{id}', { params: { path: { id } }, body: person }) : api.POST('/api/people', { body: person }),
    );
    setProblem(refused);
    if (data) {
      await onKept(data);
    }
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className="grid gap-x-6 sm:grid-cols-2">
        <TextField
          label="Name"
          value={person.name}
          onChange={(name) => change({ name })}
          maxLength={100}
          hint="It stands beside what the person reads."
        />
        <TextField
          label="Sign-in name"
          value={person.signInName}
          onChange={(signInName) => change({ signInName })}
          maxLength={100}
          hint="Letters, digits and . - _ @; an e-mail address will do."
        />
      </div>
      <GrantsField grants={person.grants} waters={waters} onChange={(grants) => change({ grants })} />
      {id && (
        <Check className="mt-3" checked={!person.active} onCheck={(on) => change({ active: !on })}>
          Has left the group: may not sign in; the name stays beside what was read
        </Check>
      )}
      <Problem words={problem} />
      <div className="mt-4 flex gap-3">
        <button type="submit" className="act act-next" disabled={!person.name.trim() || !person.signInName.trim()}>
          {id ? 'Keep the change' : 'Add'}
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

/** The link is shown, not mailed: the coordinator hands it over. */
function LinkFor({ person }: { person: Person }) {
  const [link, setLink] = useState('');
  const [from, setFrom] = useState('');
  const [problem, setProblem] = useState('');
  return (
    <div className="mb-2 border-rule border-b pb-4">
      {link ? (
        <TextField
          label={`Hand this link to ${person.name}`}
          value={link}
          onChange={() => undefined}
          readOnly
          onFocus={(event) => event.target.select()}
          hint={
            from
              ? `They have a password, so they are told first, and can stop it. It opens on ${plainDay(from)} at ${clockTime(from)} UTC, or at once where they say so on a device on which they are signed in.`
              : 'It works once, for seven days. Whoever has it can choose the password.'
          }
        />
      ) : (
        <button
          type="button"
          className="act"
          onClick={async () => {
            const { data, problem: refused } = await asked(() =>
              api.POST('/api/people/{id}/link', { params: { path: { id: person.id } } }),
            );
            setLink(data ? addressOf(data.path) : '');
            setFrom(data?.from ?? '');
            setProblem(refused);
          }}
        >
          {person.joined ? 'New link, if the password is lost' : 'Make the link to come in'}
        </button>
      )}
      <Problem words={problem} />
    </div>
  );
}

/** For a phone that is lost, and for an app that is. */
function ShutOut({ person, onDone }: { person: Person; onDone(): Promise<void> }) {
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');

  async function end(path: '/api/people/{id}/sessions' | '/api/people/{id}/second-factor', done: string) {
    const { data, problem: refused } = await asked(() => api.DELETE(path, { params: { path: { id: person.id } } }));
    setProblem(refused);
    if (data) {
      setSaid(done);
      await onDone();
    }
  }

  return (
    <div className="mb-2 border-rule border-b pb-4">
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="act"
          onClick={() => void end('/api/people/{id}/sessions', 'Signed out on every device.')}
        >
          Sign them out everywhere
        </button>
        {person.secondFactor && (
          <button
            type="button"
            className="act"
            onClick={() => void end('/api/people/{id}/second-factor', 'No code is asked for any more; the password is.')}
          >
            Take their second factor away
          </button>
        )}
      </div>
      <p role="status" className="mt-1 text-sm">
        {said}
      </p>
      <Problem words={problem} />
    </div>
  );
}

import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { Problem } from '../ui/Problem';

const SHOWN = 20;

/** Names in the record that are nobody's account: an earlier name, another spelling, or somebody without one. */
export function RecordNames({ people }: { people: Schemas['PersonInfo'][] }) {
  const names = usePulled(() => api.GET('/api/people/names'));
  const [looked, setLooked] = useState('');
  const [all, setAll] = useState(false);
  const [problem, setProblem] = useState('');
  const list = (names.data ?? []).filter(({ name }) => name.toLowerCase().includes(looked.trim().toLowerCase()));
  if (!names.data || names.data.length === 0) {
    return <Problem words={names.problem} />;
  }

  async function say(name: string, person: string | null) {
    const { problem: refused } = await asked(() => api.PUT('/api/people/names', { body: { name, person } }));
    setProblem(refused);
    await names.again();
  }

  return (
    <section className="mt-10" aria-label="Names in the record">
      <h2 className="text-xl">Names in the record</h2>
      <p className="max-w-prose text-dim">
        Visits were made under these names, and they are nobody’s account. Where one is somebody’s earlier name, or another
        spelling, say whose: nobody signs off what they read themselves. Entries stay as they were written.
      </p>
      {names.data.length > SHOWN && (
        <label className="mt-3 block max-w-xs">
          <span className="text-sm">Find a name</span>
          <input className="field" value={looked} maxLength={100} onChange={(event) => setLooked(event.target.value)} />
        </label>
      )}
      <Problem words={problem} />
      <ul className="mt-3 border-ink border-t-[1.5px]">
        {list.slice(0, all ? undefined : SHOWN).map(({ name, visits, person }) => (
          <li key={name} className="flex flex-wrap items-center gap-x-6 gap-y-1 border-rule border-b py-2">
            <span className="min-w-0 flex-1 break-words">
              {name}{' '}
              <span className="text-dim text-sm">
                {visits} {visits === 1 ? 'visit' : 'visits'}
              </span>
            </span>
            <label className="flex items-center gap-2 text-sm">
              is
              <select
                className="field w-auto"
                aria-label={`Whose name ${name} is`}
                value={person ?? ''}
                onChange={(event) => void say(name, event.target.value || null)}
              >
                <option value="">nobody with an account</option>
                {people.map(({ id, name: called }) => (
                  <option key={id} value={id}>
                    {called}
                  </option>
                ))}
              </select>
            </label>
          </li>
        ))}
      </ul>
      {!all && list.length > SHOWN && (
        <button type="button" className="act mt-3" onClick={() => setAll(true)}>
          Show all {list.length}
        </button>
      )}
    </section>
  );
}

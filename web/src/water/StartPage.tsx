import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { StationRecord } from '../api/client';
import { newId, write } from '../field/entries';
import { store } from '../field/store';
import { useSession } from '../people/session';
import { UNITS } from '../ui/units';

export function StartPage() {
  const { station: code } = useParams({ from: '/start/$station' });
  const station = useLiveQuery(async () => (await store.stations.get(code)) ?? null, [code]);
  const { known } = useSession();
  if (station === undefined) {
    return null;
  }
  if (station === null) {
    return (
      <div className="p-6">
        <h1 className="text-2xl">Station {code} is not on this device</h1>
        <p className="mt-2">
          <Link to="/">Choose one of the stations</Link>
        </p>
      </div>
    );
  }
  return <StartForm record={station.record} by={known?.name ?? null} />;
}

function StartForm({ record, by }: { record: StationRecord; by: string | null }) {
  const { context } = record;
  const navigate = useNavigate();
  const people = record.observersNeeded;
  const usual = (record.observers ?? '').split(', ').filter(Boolean);
  // One reads alone: most likely who holds the device. Of two, the pair of last time, whoever holds it first.
  const likely =
    people === 1 ? [by ?? usual[0]] : by && usual.includes(by) ? [by, ...usual.filter((name) => name !== by)] : usual;
  const [names, setNames] = useState(Array.from({ length: people }, (_, i) => likely[i] ?? ''));
  const [line, setLine] = useState(record.line ?? context.lines[0]?.code ?? '');
  const [problem, setProblem] = useState('');

  async function start() {
    const observers = names.map((name) => name.trim()).filter(Boolean);
    if (observers.length < people) {
      setProblem(
        people > 1
          ? 'Two observers read here, one after the other. Write both names.'
          : 'A reading belongs to somebody. Write who reads.',
      );
      return;
    }
    const visit = newId();
    try {
      await write({
        visit,
        kind: 'visit-started',
        body: {
          station: context.station.code,
          programme: context.programme.code,
          programmeVersion: context.programme.version,
          observers,
          line: line || null,
        },
      });
      await navigate({ to: '/visit/$visit', params: { visit } });
    } catch (error) {
      setProblem((error as Error).message);
    }
  }

  return (
    <form
      className="mx-auto w-full max-w-xl px-4 py-5 sm:px-6"
      onSubmit={(event) => {
        event.preventDefault();
        void start();
      }}
    >
      <p className="caps">Start a visit</p>
      <h1 className="text-3xl">
        {context.station.water}, {context.station.name}
      </h1>
      <p className="mt-1 text-dim">
        {context.programme.name} · known depth {context.station.knownDepth.written}{' '}
        {UNITS[context.station.knownDepth.unit ?? 'm'].short}
      </p>
      <fieldset className="mt-5">
        <legend className="caps">Who reads the disc</legend>
        {names.map((name, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the place in the order is what the box is
          <label key={i} className="mt-2 block">
            <span className="text-sm">{people > 1 ? (i === 0 ? 'First observer' : 'Second observer') : 'Observer'}</span>
            <input
              className="field text-lg"
              value={name}
              maxLength={100}
              autoComplete="name"
              onChange={(event) => {
                setNames(names.with(i, event.target.value));
                setProblem('');
              }}
            />
          </label>
        ))}
      </fieldset>
      <fieldset className="mt-5">
        <legend className="caps">Line in your hands</legend>
        {context.lines.map((choice) => (
          <label key={choice.code} className="mt-1 flex min-h-(--target) items-center gap-3">
            <input
              type="radio"
              name="line"
              className="size-5 accent-(--ink)"
              checked={line === choice.code}
              onChange={() => setLine(choice.code)}
            />
            <span>
              <b className="num">{choice.code}</b> {choice.name}
            </span>
          </label>
        ))}
      </fieldset>
      {problem && (
        <p className="mt-3 border border-madder bg-sheet p-3" role="alert">
          {problem}
        </p>
      )}
      <div className="mt-6 flex flex-wrap gap-3">
        <button type="submit" className="act act-next grow sm:grow-0">
          Begin, sound first
        </button>
        <Link to="/" className="act">
          Not now
        </Link>
      </div>
      <p className="mt-6 text-dim text-sm">
        Two aboard, flotation worn, someone ashore told. Local rules and the skipper decide; the boat comes before the sample.
      </p>
    </form>
  );
}

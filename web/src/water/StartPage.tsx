import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { StationRecord } from '../api/client';
import { nowLocal } from '../field/clock';
import { compute } from '../field/core';
import { newId, typeFromSheet, write } from '../field/entries';
import { store } from '../field/store';
import { useSession } from '../people/session';
import { PROTOCOLS, type Protocol } from '../season/season';
import { readClock } from '../ui/clockTimes';
import { Photo } from '../ui/Photo';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
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
  const [every, setEvery] = useState<Protocol[]>([]);
  const [due, setDue] = useState<Protocol[]>([]);
  const [paper, setPaper] = useState<SheetTime>();
  const [problem, setProblem] = useState('');
  // Where the outing was prepared on this device, what is due is known.
  const prepared = useLiveQuery(
    async () =>
      (await store.outings.toArray())
        .filter(({ outing }) => outing.day === nowLocal().slice(0, 10))
        .flatMap(({ outing }) => outing.stops)
        .find((stop) => stop.station.code === context.station.code)?.protocols,
    [context.station.code],
  );
  useEffect(() => {
    let current = true;
    void compute('open-protocols', { season: context.programme.season ?? null, day: nowLocal().slice(0, 10) }).then(
      (answer) => {
        if (current) {
          setEvery(answer.every);
          setDue(prepared ?? answer.open);
        }
      },
      (error: Error) => current && setProblem(error.message),
    );
    return () => {
      current = false;
    };
  }, [prepared, context.programme]);

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
    const at = paper && atOf(paper);
    if (at === null) {
      setProblem(
        'The day or the time of the sheet cannot be read. Write the day as 2026-08-12 and the time as 10:20, not later than now.',
      );
      return;
    }
    const visit = newId();
    try {
      if (at) {
        await typeFromSheet(visit, at);
      }
      await write({
        visit,
        kind: 'visit-started',
        body: {
          station: context.station.code,
          programme: context.programme.code,
          programmeVersion: context.programme.version,
          observers,
          line: line || null,
          due,
          ...(at && { paper: true }),
        },
      });
      await navigate({ to: '/visit/$visit', params: { visit }, search: { step: 'arrive' } });
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
        <legend className="caps">To do today</legend>
        {every.map((protocol) => (
          <label key={protocol} className="mt-1 flex min-h-(--target) items-center gap-3">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={due.includes(protocol)}
              onChange={() => setDue(due.includes(protocol) ? due.filter((p) => p !== protocol) : [...due, protocol])}
            />
            {PROTOCOLS[protocol]}
          </label>
        ))}
      </fieldset>
      <FindIt station={context.station} />
      <fieldset className="mt-5">
        <legend className="caps">Line in your hands</legend>
        {context.lines
          .filter(({ retiredOn }) => !retiredOn)
          .map((choice) => (
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
      <fieldset className="mt-5">
        <legend className="caps">When</legend>
        <label className="flex min-h-(--target) items-center gap-3">
          <input
            type="checkbox"
            className="size-5 accent-(--ink)"
            checked={paper !== undefined}
            onChange={() => setPaper(paper ? undefined : { day: nowLocal().slice(0, 10), time: '' })}
          />
          It was written on a paper sheet and is typed in now
        </label>
        {paper && (
          <div className="grid max-w-sm grid-cols-2 gap-x-4">
            <TextField
              label="Day on the sheet"
              value={paper.day}
              maxLength={10}
              onChange={(day) => setPaper({ ...paper, day })}
            />
            <TextField
              label="Time, 24 h"
              value={paper.time}
              maxLength={5}
              inputMode="numeric"
              onChange={(time) => setPaper({ ...paper, time })}
            />
          </div>
        )}
      </fieldset>
      <Problem words={problem} />
      <div className="mt-6 flex flex-wrap gap-3">
        <button type="submit" className="act act-next grow sm:grow-0" disabled={every.length === 0}>
          Begin
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

interface SheetTime {
  day: string;
  time: string;
}

/** The sheet's day and time with this device's offset; null where they are none, or lie ahead. */
function atOf({ day, time }: SheetTime): string | null {
  const clock = readClock(time);
  const now = nowLocal();
  const at = clock && `${day.trim()}T${clock}:00.000${now.slice(-6)}`;
  return at && /^\d{4}-\d\d-\d\d$/.test(day.trim()) && Date.parse(at) <= Date.parse(now) ? at : null;
}

/** The landmarks that lead to the spot, with their photographs. */
function FindIt({ station }: { station: StationRecord['context']['station'] }) {
  return station.transits?.length ? (
    <section className="mt-5" aria-label="Finding the spot">
      <h2 className="caps">Finding the spot</h2>
      {station.transits.map(({ near, far }) => (
        <div key={near.name + far.name} className="mt-1.5 flex flex-wrap items-center gap-3">
          <p className="min-w-0 flex-1">
            <b>{near.name}</b> in line with <b>{far.name}</b>
          </p>
          {[near, far].map(
            (mark) =>
              mark.photo && (
                <Photo
                  key={mark.photo}
                  id={mark.photo}
                  words={`${near.name} and ${far.name}`}
                  className="h-28 w-40 object-cover"
                />
              ),
          )}
        </div>
      ))}
    </section>
  ) : null;
}

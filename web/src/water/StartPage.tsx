import { Link, useNavigate, useParams } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Schemas, StationRecord } from '../api/client';
import { PracticeMark } from '../compose/PracticeMark';
import { useBoxesKnown, useProtocolName } from '../field/boxes';
import { nowLocal } from '../field/clock';
import { type NewEntry, newId, typeFromSheet, write } from '../field/entries';
import { askToKeep } from '../field/room';
import { seriesOn } from '../field/series';
import { store } from '../field/store';
import { useComputed } from '../field/useComputed';
import { idsOf, namesAt } from '../people/crew';
import { useSession } from '../people/session';
import type { Protocol } from '../season/season';
import { Check } from '../ui/Check';
import { clockTime } from '../ui/days';
import { FindingNote } from '../ui/FindingNote';
import { Photo } from '../ui/Photo';
import { Problem } from '../ui/Problem';
import { UNITS } from '../ui/units';
import { Waiting } from '../ui/Waiting';
import { PaperTime, type PaperTimes, whenRead } from './PaperTime';

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
  return <Start key={code} record={station.record} practice={station.practice === true} by={known?.name ?? null} />;
}

/** The page is whole before it is shown: what is due today, and the words for it. */
function Start({ record, by, practice }: { record: StationRecord; by: string | null; practice: boolean }) {
  const { context } = record;
  const [today] = useState(() => nowLocal().slice(0, 10));
  const { data: open, error } = useComputed('open-protocols', { programme: context.programme, day: today });
  const known = useBoxesKnown();
  // Where the outing was prepared on this device, what is due is known.
  const prepared = useLiveQuery(
    async () =>
      (await store.outings.toArray())
        .filter(({ outing }) => outing.day === today)
        .flatMap(({ outing }) => outing.stops)
        .find((stop) => stop.station.code === context.station.code)?.protocols ?? null,
    [context.station.code, today],
  );
  if (error || !open || !known || prepared === undefined) {
    return <Waiting problem={error ?? ''} words="Looking up what is due here…" />;
  }
  return <StartForm record={record} by={by} practice={practice} open={open} prepared={prepared} />;
}

function StartForm({
  record,
  by,
  practice,
  open,
  prepared,
}: {
  record: StationRecord;
  by: string | null;
  practice: boolean;
  open: Schemas['OpenProtocolsResult'];
  /** What the outing of today takes here; null where none was prepared. */
  prepared: readonly Protocol[] | null;
}) {
  const protocolName = useProtocolName();
  const { context } = record;
  const navigate = useNavigate();
  const people = record.observersNeeded;
  const usual = (record.observers ?? '').split(', ').filter(Boolean);
  const often = useLiveQuery(() => namesAt(record), [record]) ?? [];
  // One reads alone: most likely who holds the device. Of two, the pair of last time, whoever holds it first.
  const likely =
    people === 1 ? [by ?? usual[0]] : by && usual.includes(by) ? [by, ...usual.filter((name) => name !== by)] : usual;
  const [names, setNames] = useState(Array.from({ length: people }, (_, i) => likely[i] ?? ''));
  const [line, setLine] = useState(record.line ?? context.lines[0]?.code ?? '');
  const { every, asksHalf: halves = false } = open;
  const [due, setDue] = useState<Protocol[]>([...(prepared ?? open.open)]);
  // A station without a line of its own is one where none is let down, unless somebody reads the disc there all the same.
  const lined = record.line != null || due.includes('clarity');
  const [paper, setPaper] = useState<PaperTimes>();
  const [sheetTime, setSheetTime] = useState<Schemas['SheetTimeResult']>();
  const [problem, setProblem] = useState('');

  const { data: training } = useComputed(
    'crew-training',
    (context.programme.trained?.length ?? 0) > 0
      ? { programme: context.programme, day: nowLocal().slice(0, 10), due, crew: names, people: context.people ?? [] }
      : undefined,
  );

  /** `stands`: the time chosen where the sheet contradicts itself. */
  async function start(stands?: string) {
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
    void askToKeep();
    try {
      const read = paper && (await whenRead(paper));
      const at = stands ?? read?.at;
      if (read && (!at || (!stands && read.findings.length > 0))) {
        setSheetTime(read);
        return;
      }
      const series = await seriesOn(record, (at ?? nowLocal()).slice(0, 10));
      const id = newId();
      const contradicted = stands && stands === read?.at ? read.findings[0] : undefined;
      if (at) {
        await typeFromSheet(visit, at);
      }
      const begun: NewEntry<'visit-started'> = {
        id,
        visit,
        kind: 'visit-started',
        body: {
          station: context.station.code,
          programme: context.programme.code,
          programmeVersion: context.programme.version,
          observers,
          observerIds: await idsOf(observers, record),
          line: (lined && line) || null,
          due,
          ...(series && { series }),
          ...(paper && { paper: true, timeEstimated: paper.estimated, half: paper.half }),
        },
      };
      await write(
        begun,
        ...(contradicted
          ? [
              {
                visit,
                kind: 'kept' as const,
                body: { finding: contradicted.code, about: [id] },
                why: `${clockTime(stands ?? '')} stands`,
              },
            ]
          : []),
      );
      await navigate({ to: '/visit/$visit', params: { visit }, search: { step: 'arrive' } });
    } catch (error) {
      setProblem((error as Error).message);
    }
  }

  function onPaper(times: PaperTimes | undefined) {
    setPaper(times);
    setSheetTime(undefined);
    setProblem('');
  }

  return (
    <form
      className="mx-auto w-full max-w-xl px-4 py-5 sm:px-6"
      onSubmit={(event) => {
        event.preventDefault();
        void start();
      }}
    >
      {practice && <PracticeMark />}
      <p className="caps">Start a visit</p>
      <h1 className="text-3xl">
        {context.station.water}, {context.station.name}
      </h1>
      <p className="mt-1 text-dim">
        {context.programme.name} · known depth {context.station.knownDepth.written}{' '}
        {UNITS[context.station.knownDepth.unit ?? 'm'].short}
      </p>
      <fieldset className="mt-5">
        <legend className="caps">{due.includes('clarity') ? 'Who reads the disc' : 'Who is there'}</legend>
        {names.map((name, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the place in the order is what the box is
          <label key={i} className="mt-2 block">
            <span className="text-sm">{people > 1 ? (i === 0 ? 'First observer' : 'Second observer') : 'Observer'}</span>
            <input
              className="field text-lg"
              value={name}
              maxLength={100}
              autoComplete="off"
              list="often"
              onChange={(event) => {
                setNames(names.with(i, event.target.value));
                setProblem('');
              }}
            />
          </label>
        ))}
        <datalist id="often">
          {often.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      </fieldset>
      <fieldset className="mt-5">
        <legend className="caps">To do today</legend>
        {every.map((protocol) => (
          <Check
            key={protocol}
            className="mt-1"
            checked={due.includes(protocol)}
            onCheck={() => setDue(due.includes(protocol) ? due.filter((p) => p !== protocol) : [...due, protocol])}
          >
            {protocolName(protocol)}
          </Check>
        ))}
      </fieldset>
      {training?.findings.map((finding) => (
        <FindingNote key={finding.seen} finding={finding} />
      ))}
      <FindIt station={context.station} />
      <fieldset className="mt-5" hidden={!lined}>
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
        <Check
          checked={paper !== undefined}
          onCheck={() => onPaper(paper ? undefined : { day: nowLocal().slice(0, 10), time: '', estimated: false })}
        >
          It was written on a paper sheet and is typed in now
        </Check>
        {paper && <PaperTime value={paper} halves={halves} onChange={onPaper} />}
        {sheetTime?.findings.map((finding) => (
          <FindingNote key={finding.code} finding={finding}>
            {[sheetTime.at, sheetTime.other].map(
              (at) =>
                at && (
                  <button key={at} type="button" className="act" onClick={() => void start(at)}>
                    {clockTime(at)} stands
                  </button>
                ),
            )}
          </FindingNote>
        ))}
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

import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import {
  api,
  type ClarityPoint,
  type Entry,
  type FieldSheet,
  type OperationResponse,
  type ReaderUnit,
  type StationRecord,
} from '../api/client';
import { readBoxes } from './boxes';
import { compute, foldVisit } from './core';
import { isMine } from './outbox';
import { type KeptEntry, type KeptVisit, store } from './store';
import { computeAhead } from './useComputed';

type MonthHistory = OperationResponse<'month-history'>;
let picked: { key: string; history: Promise<MonthHistory> } | undefined;

/** What readings of a day are compared with: picked once, so that each fold has little to read. */
function historyFor(station: StationRecord, day: string): Promise<MonthHistory> {
  // A record that was fetched again is most often the same.
  const key = JSON.stringify([day, station.context.history]);
  if (picked?.key !== key) {
    const history = compute('month-history', { points: station.context.history, day });
    picked = { key, history };
    history.catch(() => {
      picked = undefined;
    });
  }
  return picked.history;
}

/** The visit that is on the page. */
let shown: { visit: string; entries: Entry[]; station: StationRecord; reader: ReaderUnit } | undefined;

/** Begins to fold what is just being written: the answer is there when the device has it, and is shown no sooner. */
export function foldAhead(made: Entry[]): void {
  if (shown && made.every(({ visit }) => visit === shown?.visit)) {
    // In the order in which the device keeps them.
    const entries = [...shown.entries, ...made].sort((a, b) => (a.id < b.id ? -1 : 1));
    work(shown.visit, entries, shown.station, shown.reader).catch(() => {
      // What is wrong with it is said when it is folded for the page.
    });
  }
}

/** Folds a visit on this device and keeps what lists need of it. */
async function fold(visit: string, kept: KeptEntry[], station: StationRecord, reader: ReaderUnit): Promise<FieldSheet> {
  const entries = kept.map((k) => k.entry);
  shown = { visit, entries, station, reader };
  const sheet = await work(visit, entries, station, reader);
  if (sheet.startedAt) {
    const { startedAt, state, point } = sheet;
    void store.visits.put({
      visit,
      station: station.context.station.code,
      startedAt,
      closed: state === 'closed',
      point: point ?? undefined,
      person: kept.find(({ person }) => person)?.person,
      ...(kept.some(({ state }) => state === 'practice') && { practice: true }),
    });
  }
  return sheet;
}

/** What a visit of a day is judged by. Of the kit only what it names travels into the fold: less to read for each entry. */
export async function contextOn(station: StationRecord, entries: Entry[], day: string | undefined) {
  const named = new Set(entries.map((entry) => (entry.body as { line?: string | null }).line));
  const lines = station.context.lines.filter((line) => named.has(line.code));
  const { points, lastDay } = day ? await historyFor(station, day) : { points: [], lastDay: null };
  return { ...station.context, lines, history: points, lastDay };
}

async function work(visit: string, entries: Entry[], station: StationRecord, reader: ReaderUnit): Promise<FieldSheet> {
  // What the boxes ask is known before the sheet is shown: nothing moves under a finger.
  await Promise.all([readBoxes(), computeAhead('colour', {})]);
  const foldOn = async (day: string | undefined) =>
    foldVisit(visit, { entries, context: await contextOn(station, entries, day), reader });
  const guess = entries.find((entry) => entry.kind === 'visit-started')?.at.slice(0, 10);
  let sheet = await foldOn(guess);
  const day = sheet.startedAt?.slice(0, 10);
  if (day && day !== guess) {
    // The beginning that was guessed is struck; another day is compared with other readings.
    sheet = await foldOn(day);
  }
  return sheet;
}

/** The station at which a visit lies; nothing where its beginning is not here. */
export async function stationOf(kept: KeptEntry[]): Promise<string | undefined> {
  const entries = kept
    .map(({ entry }) => entry)
    .filter(({ kind, strikes }) => kind === 'visit-started' || kind === 'visit-moved' || strikes);
  return entries.length > 0 ? ((await compute('visit-place', { entries })).station ?? undefined) : undefined;
}

export interface VisitView {
  /** undefined while it is being read; null where it is neither here nor to be had. */
  sheet: FieldSheet | null | undefined;
  station: StationRecord | undefined;
  error: string | undefined;
  /** True for a visit of practice. */
  practice?: boolean;
}

/** A visit as this device knows it; entries of other devices are fetched where there is a signal. */
export function useVisit(visit: string, reader: ReaderUnit): VisitView {
  const [view, setView] = useState<VisitView>({ sheet: undefined, station: undefined, error: undefined });
  const [fetched, setFetched] = useState(false);
  const kept = useLiveQuery(
    () =>
      store.entries
        .where('visit')
        .equals(visit)
        .filter((one) => one.state === 'sent' || isMine(one))
        .toArray(),
    [visit],
  );
  const [place, setPlace] = useState<{ visit: string | undefined; code: string | undefined }>();
  // Of another visit's place nothing is said while this one is being read.
  const code = place?.visit === visit ? place.code : undefined;
  const station = useLiveQuery(async () => (code ? ((await store.stations.get(code)) ?? null) : null), [code]);

  useEffect(() => {
    let current = true;
    stationOf(kept ?? [])
      .then((code) => current && setPlace({ visit: kept?.[0]?.entry.visit, code }))
      .catch((error: Error) => current && setView((last) => ({ ...last, error: error.message })));
    return () => {
      current = false;
    };
  }, [kept]);

  useEffect(() => {
    setFetched(false);
    let current = true;
    void fetchEntries(visit).finally(() => current && setFetched(true));
    return () => {
      current = false;
    };
  }, [visit]);

  useEffect(() => {
    if (!kept || station === undefined) {
      return;
    }
    if (!station) {
      if (fetched && kept.length === 0) {
        setView({ sheet: null, station: undefined, error: undefined });
      }
      return;
    }
    let current = true;
    fold(visit, kept, station.record, reader)
      .then(
        (sheet) => current && setView({ sheet, station: station.record, error: undefined, practice: station.practice === true }),
      )
      .catch((error: Error) => current && setView((last) => ({ ...last, station: station.record, error: error.message })));
    return () => {
      current = false;
    };
  }, [visit, kept, station, reader, fetched]);

  return view;
}

/** Brings the entries of a visit to this device, where there is a signal. */
export async function fetchEntries(visit: string): Promise<void> {
  try {
    const { data } = await api.GET('/api/visits/{visit}/entries', { params: { path: { visit } } });
    await store.entries.bulkPut((data ?? []).map((entry) => ({ id: entry.id, visit, state: 'sent' as const, entry })));
  } catch {
    // Without a signal what is on the device is all there is.
  }
}

/** Visits on this device that have not ended. */
export function openVisits(visits: KeptVisit[] | undefined): KeptVisit[] {
  return (visits ?? [])
    .filter((v) => !v.closed && !v.practice && isMine(v))
    .sort((a, b) => b.startedAt.localeCompare(a.startedAt));
}

/** The station's record; visits with something that the server does not have yet stand as this device knows them. */
export function withLocal(points: ClarityPoint[], visits: KeptVisit[], pending: ReadonlySet<string>): ClarityPoint[] {
  const known = new Set(points.map((p) => p.visit));
  const local = visits.filter((v) => isMine(v) && (pending.has(v.visit) || !known.has(v.visit)));
  const replaced = new Set(local.map((v) => v.visit));
  return [...points.filter((p) => !replaced.has(p.visit)), ...local.flatMap((v) => (v.point ? [v.point] : []))].sort((a, b) =>
    a.date.localeCompare(b.date),
  );
}

/** Visits with entries that are on this device only. */
export async function pendingVisits(): Promise<Set<string>> {
  return new Set((await store.entries.where('state').anyOf('waiting', 'refused').toArray()).map((kept) => kept.visit));
}

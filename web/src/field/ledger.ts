import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { api, type Schemas } from '../api/client';
import { readBoxes } from './boxes';
import { compute } from './core';
import { type KeptEntry, readSetting, store, writeSetting } from './store';
import { fetchEntries, pendingVisits, stationOf } from './visits';

export type LedgerSample = Schemas['LedgerSample'];
export type LabDoor = Schemas['LabDoor'];
export type VisitSamples = Schemas['VisitSamples'];

/** Brings the ledger to this device: what changed since the last time, and the laboratory's hours. */
export async function refreshLedger(): Promise<void> {
  const since = await readSetting('ledger-up-to', 0);
  const [ledger, door] = await Promise.all([
    api.GET('/api/samples', { params: { query: { since } } }),
    api.GET('/api/laboratory/door'),
  ]);
  if (door.response.ok) {
    await writeSetting('laboratory-door', door.data ?? null);
  }
  if (!ledger.data || (ledger.data.upTo === since && !ledger.data.whole)) {
    return;
  }
  const { whole, visits, samples, upTo } = ledger.data;
  await store.transaction('rw', store.samples, store.settings, async () => {
    await (whole ? store.samples.clear() : store.samples.where('visit').anyOf(visits).delete());
    await store.samples.bulkPut(
      samples.map((sample) => ({ key: `${sample.visit} ${sample.number}`, visit: sample.visit, number: sample.number, sample })),
    );
    await writeSetting('ledger-up-to', upTo);
  });
  // What is still in the group's hands may be moved with no signal: its visits come along.
  for (const visit of new Set(samples.filter(({ whereabouts }) => whereabouts === 'hand').map((sample) => sample.visit))) {
    await fetchEntries(visit);
  }
}

/** Folds the samples of a visit on this device; nothing where its beginning is not here. */
export async function foldSamples(kept: KeptEntry[]): Promise<VisitSamples | undefined> {
  // What the boxes of bench and ledger ask is known before a sample is shown.
  const [code] = await Promise.all([stationOf(kept), readBoxes()]);
  const station = code && (await store.stations.get(code));
  return station
    ? compute('fold-samples', { entries: kept.map(({ entry }) => entry), context: { ...station.record.context, history: [] } })
    : undefined;
}

export interface Ledger {
  /** undefined while it is being read. */
  samples: LedgerSample[] | undefined;
  /** Visits with something that is on this device only. */
  pending: ReadonlySet<string>;
  /** null where none is set up; undefined while it is being read. */
  door: LabDoor | null | undefined;
}

/** The ledger as the server knows it; visits with something that it does not have yet stand as this device knows them. */
export function useLedger(): Ledger {
  const kept = useLiveQuery(() => store.samples.toArray(), []);
  const door = useLiveQuery(() => readSetting<LabDoor | null>('laboratory-door', null), []);
  const pending = useLiveQuery(pendingVisits, []);
  const local = useLiveQuery(async () => {
    const visits = [...(await pendingVisits())];
    return Promise.all(
      visits.map(async (visit) => ({ visit, entries: await store.entries.where('visit').equals(visit).toArray() })),
    );
  }, []);
  const [folded, setFolded] = useState<Map<string, LedgerSample[]>>();
  useEffect(() => {
    let current = true;
    void (async () => {
      const next = new Map<string, LedgerSample[]>();
      for (const { visit, entries } of local ?? []) {
        const samples = await foldSamples(entries).catch(() => undefined);
        if (samples) {
          next.set(visit, samples.samples);
        }
      }
      if (current && local) {
        setFolded(next);
      }
    })();
    return () => {
      current = false;
    };
  }, [local]);
  const samples =
    kept && folded
      ? [...kept.filter(({ visit }) => !folded.has(visit)).map(({ sample }) => sample), ...[...folded.values()].flat()].toSorted(
          (a, b) => a.day.localeCompare(b.day) || a.number.localeCompare(b.number),
        )
      : undefined;
  return { samples, pending: pending ?? new Set(), door };
}

/** The samples of one visit, folded on this device from all its entries. */
export function useVisitSamples(visit: string): VisitSamples | null | undefined {
  const kept = useLiveQuery(() => store.entries.where('visit').equals(visit).toArray(), [visit]);
  const [samples, setSamples] = useState<VisitSamples | null>();
  const [fetched, setFetched] = useState(false);
  useEffect(() => {
    let current = true;
    setFetched(false);
    void fetchEntries(visit).finally(() => current && setFetched(true));
    return () => {
      current = false;
    };
  }, [visit]);
  useEffect(() => {
    let current = true;
    if (kept) {
      void foldSamples(kept).then((next) => current && (next || fetched) && setSamples(next ?? null));
    }
    return () => {
      current = false;
    };
  }, [kept, fetched]);
  return samples;
}

/** How long samples may still wait, by the clock of now; worked out again each half minute. */
export function useClocks(samples: LedgerSample[] | undefined, door: LabDoor | null | undefined, now: () => string) {
  const [clocks, setClocks] = useState<Schemas['SampleClock'][]>();
  const [tick, setTick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setTick((n) => n + 1), 30_000);
    return () => clearInterval(timer);
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: time goes on by itself
  useEffect(() => {
    let current = true;
    if (samples && samples.length > 0 && door !== undefined) {
      compute('sample-clocks', {
        now: now(),
        samples: samples.map(({ number, visit, state, hold, day }) => ({ number, visit, state, hold, day })),
        laboratory: door,
      }).then(
        (result) => current && setClocks(result.clocks),
        () => {},
      );
    }
    return () => {
      current = false;
    };
  }, [JSON.stringify(samples?.map(({ number, state, hold }) => [number, state, hold])), door, tick]);
  return clocks;
}

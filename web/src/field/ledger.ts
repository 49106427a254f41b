import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { api, type Schemas } from '../api/client';
import { useNow } from '../ui/useNow';
import { readBoxes } from './boxes';
import { compute } from './core';
import { type KeptEntry, readSetting, store, writeSetting } from './store';
import { useComputed } from './useComputed';
import { useFolded } from './useFolded';
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

async function foldVisits(kept: KeptEntry[]): Promise<Map<string, LedgerSample[]>> {
  const visits = new Map<string, LedgerSample[]>();
  for (const visit of new Set(kept.map((one) => one.visit))) {
    const samples = await foldSamples(kept.filter((one) => one.visit === visit)).catch(() => undefined);
    if (samples) {
      visits.set(visit, samples.samples);
    }
  }
  return visits;
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
  const local = useLiveQuery(
    async () =>
      store.entries
        .where('visit')
        .anyOf([...(await pendingVisits())])
        .toArray(),
    [],
  );
  const folded = useFolded('fold-waiting', '', local, foldVisits);
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
  const [fetched, setFetched] = useState<string>();
  useEffect(() => {
    let current = true;
    void fetchEntries(visit).finally(() => current && setFetched(visit));
    return () => {
      current = false;
    };
  }, [visit]);
  const samples = useFolded('fold-samples', visit, kept, foldSamples);
  // Its beginning may still come.
  return samples ?? (fetched === visit ? samples : undefined);
}

/** How long samples may still wait, by the clock of now; worked out again each half minute. */
export function useClocks(samples: LedgerSample[] | undefined, door: LabDoor | null | undefined) {
  const now = useNow();
  const waiting = samples?.map(({ number, visit, state, hold, day }) => ({ number, visit, state, hold, day })) ?? [];
  const ask = waiting.length > 0 && door !== undefined ? { now, samples: waiting, laboratory: door } : undefined;
  return useComputed('sample-clocks', ask).data?.clocks;
}

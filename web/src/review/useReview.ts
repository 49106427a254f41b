import { useLiveQuery } from 'dexie-react-hooks';
import type { Schemas } from '../api/client';
import { compute } from '../field/core';
import { type KeptEntry, store } from '../field/store';
import { useFolded } from '../field/useFolded';
import { contextOn, stationOf } from '../field/visits';

/** The review of a visit, folded on this device from all its entries; what is wrong with it is said where the page folds it. */
export function useReview(visit: string): Schemas['VisitReview'] | undefined {
  const kept = useLiveQuery(() => store.entries.where('visit').equals(visit).toArray(), [visit]);
  return useFolded('fold-review', visit, kept, fold) ?? undefined;
}

async function fold(kept: KeptEntry[]) {
  const code = await stationOf(kept);
  const station = code && (await store.stations.get(code));
  if (!station) {
    return undefined;
  }
  const entries = kept.map(({ entry }) => entry);
  const day = entries.find(({ kind }) => kind === 'visit-started')?.at.slice(0, 10);
  return compute('fold-review', { entries, context: await contextOn(station.record, entries, day) });
}

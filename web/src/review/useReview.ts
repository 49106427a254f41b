import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { compute } from '../field/core';
import { store } from '../field/store';
import { contextOn, stationOf } from '../field/visits';

/** The review of a visit, folded on this device from all its entries. */
export function useReview(visit: string): Schemas['VisitReview'] | undefined {
  const kept = useLiveQuery(() => store.entries.where('visit').equals(visit).toArray(), [visit]);
  const [review, setReview] = useState<Schemas['VisitReview']>();
  useEffect(() => {
    let current = true;
    async function fold() {
      const code = kept && (await stationOf(kept));
      const station = code && (await store.stations.get(code));
      if (!kept || !station) {
        return;
      }
      const entries = kept.map(({ entry }) => entry);
      const day = entries.find(({ kind }) => kind === 'visit-started')?.at.slice(0, 10);
      const folded = await compute('fold-review', { entries, context: await contextOn(station.record, entries, day) });
      if (current) {
        setReview(folded);
      }
    }
    fold().catch(() => {
      // What is wrong with the visit is said where it is folded for the page.
    });
    return () => {
      current = false;
    };
  }, [kept]);
  return review;
}

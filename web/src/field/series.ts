import type { Schemas, StationRecord } from '../api/client';
import { compute } from './core';
import { store } from './store';

/** The letter of a visit that begins on a day, where it is not the first there that this device knows of. */
export async function seriesOn({ context }: StationRecord, day: string): Promise<string | null> {
  const own = await store.visits.where('station').equals(context.station.code).toArray();
  const others = new Map((context.others ?? []).map((other) => [other.visit, other]));
  for (const { visit, startedAt } of own) {
    const begun = (await store.entries.where('visit').equals(visit).toArray()).find(
      ({ entry }) => entry.kind === 'visit-started',
    );
    const { series } = (begun?.entry.body ?? {}) as Partial<Schemas['VisitStartedBody']>;
    others.set(visit, { visit, startedAt, ...(series && { series }) });
  }
  return (await compute('visit-series', { day, others: [...others.values()] })).series ?? null;
}

import type { Schemas, StationRecord } from '../api/client';
import { compute } from '../field/core';
import { type KeptVisit, store } from '../field/store';
import type { Composed } from './composed';

/** Makes the place of practice at which a protocol is tried: the same screens and the same core, nothing of it leaves the device. */
export async function placeOfPractice(programme: Schemas['Programme'], protocol: Composed): Promise<string> {
  const context = await compute('practice-place', { programme, protocol });
  const record: StationRecord = {
    context,
    observersNeeded: 1,
    line: null,
    observers: null,
    profiles: [],
    values: [],
    series: [],
    first: 'clarity',
    mayReview: false,
    crew: [],
  };
  const { code } = context.station;
  await store.stations.put({ code, ordinal: -1, changed: 0, maySample: true, record, practice: true });
  return code;
}

/** Visits of practice on this device, the newest first. */
export async function practised(): Promise<KeptVisit[]> {
  return (await store.visits.filter(({ practice }) => practice === true).toArray()).sort((a, b) =>
    b.startedAt.localeCompare(a.startedAt),
  );
}

/** Takes the visits of practice off this device. */
export async function forgetPractice(): Promise<void> {
  await store.transaction('rw', store.entries, store.visits, store.files, async () => {
    const visits = new Set((await store.entries.where('state').equals('practice').toArray()).map(({ visit }) => visit));
    await store.entries.where('state').equals('practice').delete();
    await store.visits.bulkDelete([...visits]);
    await store.files.filter(({ visit }) => visits.has(visit)).delete();
  });
}

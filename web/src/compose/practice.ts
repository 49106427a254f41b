import type { Schemas, StationRecord } from '../api/client';
import { type KeptVisit, store } from '../field/store';
import type { Composed } from './composed';

const PLACE = 'practice-1';

/** Makes the place of practice at which a protocol is tried: the same screens and the same core, nothing of it leaves the device. */
export async function placeOfPractice(programme: Schemas['Programme'], protocol: Composed): Promise<string> {
  const record: StationRecord = {
    context: {
      station: {
        code: PLACE,
        name: protocol.title,
        waterCode: 'practice-water',
        water: 'Practice',
        district: 'nowhere',
        knownDepth: { written: '10', unit: 'm' },
        latitudeDeg: 0,
        longitudeDeg: 0,
        radiusM: 1000,
        levelAllowanceM: 0,
        kind: protocol.places?.[0] ?? 'bank',
      },
      programme: {
        ...programme,
        own: [protocol],
        season: [
          {
            protocol: protocol.code,
            rhythm: 'monthly',
            from: { month: 1, day: 1 },
            until: { month: 12, day: 31 },
            everyDays: 30,
            leastGapDays: 1,
            greatestGapDays: 60,
            least: 0,
            turnIn: false,
          },
        ],
      },
      lines: [],
      history: [],
      gear: [],
    },
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
  await store.stations.put({ code: PLACE, ordinal: -1, changed: 0, maySample: true, record, practice: true });
  return PLACE;
}

/** Visits of practice on this device, the newest first. */
export async function practised(): Promise<KeptVisit[]> {
  return (await store.visits.where('station').equals(PLACE).toArray()).sort((a, b) => b.startedAt.localeCompare(a.startedAt));
}

/** Takes the visits of practice off this device. */
export async function forgetPractice(): Promise<void> {
  await store.transaction('rw', store.entries, store.visits, store.files, async () => {
    const visits = new Set((await store.entries.where('state').equals('practice').toArray()).map(({ visit }) => visit));
    await store.entries.where('state').equals('practice').delete();
    await store.visits.where('station').equals(PLACE).delete();
    await store.files.filter(({ visit }) => visits.has(visit)).delete();
  });
}

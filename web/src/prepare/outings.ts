import { useLiveQuery } from 'dexie-react-hooks';
import { api, type Schemas } from '../api/client';
import { addressOf } from '../api/home';
import { usePulled } from '../api/usePulled';
import { nowLocal } from '../field/clock';
import { type KeptOuting, store } from '../field/store';
import { plainDay } from '../ui/days';

export type Outing = Schemas['Outing'];
export type OutingStop = Schemas['OutingStop'];
export type PackNeed = Schemas['PackNeed'];

const UNREACHED = 'There is no signal. Open it once where there is one, and pack it for offline.';

export function outingKey(day: string, water: string): string {
  return `${day} ${water}`;
}

/** Fetches an outing anew and keeps it on the device; what was packed stays packed. */
export async function fetchOuting(day: string, water: string) {
  const answer = await api.GET('/api/outings/{day}/{water}', { params: { path: { day, water } } });
  if (answer.data) {
    const key = outingKey(day, water);
    const packedAt = (await store.outings.get(key))?.packedAt;
    await store.outings.put({ key, outing: answer.data, fetchedAt: nowLocal(), ...(packedAt && { packedAt }) });
  }
  return answer;
}

/** An outing as it is on this device, asked for anew when the page is opened. */
export function useOuting(day: string, water: string) {
  const key = outingKey(day, water);
  const kept = useLiveQuery(async () => (await store.outings.get(key)) ?? null, [key]);
  const { problem } = usePulled(() => fetchOuting(day, water), ['outing', day, water], UNREACHED);
  return { kept, unreached: problem === UNREACHED, problem };
}

/** What of an outing is on this device, in words. */
export interface Packed {
  words: string[];
  /** Stations that are not on the device yet. */
  missing: string[];
}

export async function packedOf(outing: Outing): Promise<Packed> {
  const records = await Promise.all(outing.stops.map(({ station }) => store.stations.get(station.code)));
  const missing = outing.stops.flatMap(({ station }, i) => (records[i] ? [] : [station.code]));
  const kept = records.filter((record) => record !== undefined).map(({ record }) => record);
  const programmes = [...new Set(kept.map(({ context }) => `${context.programme.name} version ${context.programme.version}`))];
  const lines = [...new Set(outing.stops.flatMap(({ line }) => (line ? [line] : [])))].map((code) => {
    const checks = kept[0]?.context.lines.find((line) => line.code === code)?.checks ?? [];
    const last = checks
      .map(({ day }) => day)
      .sort()
      .at(-1);
    return last ? `${code}, taped ${plainDay(last)}` : `${code}, never taped`;
  });
  const readings = kept.reduce((sum, { context }) => sum + context.history.length, 0);
  const photos = photosOf(outing);
  const here = (await store.photos.bulkGet(photos)).filter(Boolean).length;
  return {
    missing,
    words: [
      kept.length === 1 ? '1 station' : `${kept.length} stations`,
      ...programmes,
      ...lines,
      `${readings} earlier readings to compare with`,
      ...(photos.length > 0 ? [`${here} of ${photos.length} photographs of landmarks`] : []),
    ],
  };
}

/** Puts everything that the outing needs on this device: the outing, its stations with their records, photographs. */
export async function packForOffline(outing: Outing, day: string, water: string): Promise<void> {
  const { data: list } = await api.GET('/api/stations');
  for (const { station } of outing.stops) {
    const place = list?.findIndex((summary) => summary.station.code === station.code) ?? -1;
    const summary = list?.[place];
    const { data: record } = await api.GET('/api/stations/{code}', { params: { path: { code: station.code } } });
    if (!record || !summary) {
      throw new Error(`${station.name} could not be fetched. Nothing is lost; try again where the signal is better.`);
    }
    await store.stations.put({
      code: station.code,
      ordinal: place,
      changed: summary.changed,
      maySample: summary.maySample,
      record,
    });
  }
  for (const id of photosOf(outing)) {
    if (!(await store.photos.get(id))) {
      const answer = await fetch(addressOf(`/api/photos/${id}`));
      if (answer.ok) {
        await store.photos.put({ id, picture: await answer.blob() });
      }
    }
  }
  const key = outingKey(day, water);
  const row: KeptOuting = { key, outing, fetchedAt: nowLocal(), packedAt: nowLocal() };
  await store.outings.put(row);
}

function photosOf(outing: Outing): string[] {
  return outing.stops.flatMap(({ station }) =>
    (station.transits ?? []).flatMap(({ near, far }) => [near.photo, far.photo]).filter((id) => id != null),
  );
}

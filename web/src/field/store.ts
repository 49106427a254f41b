import Dexie, { type EntityTable } from 'dexie';
import type { ClarityPoint, Entry, Schemas, StationRecord } from '../api/client';

/**
 * waiting: on this device only. sent: the server has it. refused: the server said why not; still here. practice: of a visit of
 * practice, never sent.
 */
export type EntryState = 'waiting' | 'sent' | 'refused' | 'practice';

export interface KeptEntry {
  id: string;
  visit: string;
  state: EntryState;
  entry: Entry;
  problem?: string;
  /** Whose sign-in it is delivered under; absent where it came from the server, or from before that was kept. */
  person?: string;
  /** Came out of a saved file: a coordinator can deliver it for whoever made it. */
  broughtIn?: boolean;
  /** The coordinator who has said that they deliver it for whoever made it. */
  through?: string;
}

export interface KeptStation {
  code: string;
  ordinal: number;
  /** The server's mark of the record when it was fetched. */
  changed: number;
  /** False where this person may read but not write. */
  maySample: boolean;
  record: StationRecord;
  /** True for a place of practice: nothing that is written there leaves the device. */
  practice?: boolean;
}

/** What the last fold of a visit on this device gave, so that lists need not fold again. */
export interface KeptVisit {
  visit: string;
  station: string;
  startedAt: string;
  closed: boolean;
  point?: ClarityPoint;
  /** Who wrote it on this device; absent where others did, elsewhere. */
  person?: string;
  practice?: boolean;
}

/** An outing as it was prepared on this device. */
export interface KeptOuting {
  /** Day and water. */
  key: string;
  outing: Schemas['Outing'];
  /** When it was fetched, by the instance's clock. */
  fetchedAt: string;
  /** When everything that it needs was packed for the water; absent where it was only looked at. */
  packedAt?: string;
}

/** A thing of the pack list that is aboard. */
export interface Tick {
  /** Day, water and the thing's key. */
  id: string;
  outing: string;
}

export interface KeptPhoto {
  id: string;
  picture: Blob;
}

/** A file that an entry names, a logged cast or a photograph: until the server has it, and some days longer, should the server be
 * restored from a backup. */
export interface KeptFile {
  /** Of a cast; of a photograph its id stands here. */
  sha256: string;
  /** True for a photograph. */
  photo?: boolean;
  visit: string;
  file: Blob;
  /** Why the server would not have it; then it is not sent again by itself. */
  problem?: string;
  /** When the server took it, in milliseconds since 1970; absent while it waits. */
  sent?: number;
}

/** A sample as the server knows it. */
export interface KeptSample {
  /** Visit and number. */
  key: string;
  visit: string;
  number: string;
  sample: Schemas['LedgerSample'];
}

export interface Setting {
  name: string;
  value: unknown;
}

class FieldStore extends Dexie {
  entries!: EntityTable<KeptEntry, 'id'>;
  stations!: EntityTable<KeptStation, 'code'>;
  visits!: EntityTable<KeptVisit, 'visit'>;
  settings!: EntityTable<Setting, 'name'>;
  outings!: EntityTable<KeptOuting, 'key'>;
  ticks!: EntityTable<Tick, 'id'>;
  photos!: EntityTable<KeptPhoto, 'id'>;
  files!: EntityTable<KeptFile, 'sha256'>;
  samples!: EntityTable<KeptSample, 'key'>;

  constructor() {
    // A reading is on the disk before the page says that it is kept.
    super('upper-still', { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ entries: 'id, visit, state', stations: 'code', visits: 'visit, station', settings: 'name' });
    this.version(2).stores({ outings: 'key', ticks: 'id, outing', photos: 'id' });
    this.version(3).stores({ files: 'sha256' });
    this.version(4).stores({ samples: 'key, visit, number' });
    // Samples and stations say more of themselves since: both are fetched anew where there is a signal.
    this.version(5).upgrade(async (change) => {
      await change.table('samples').clear();
      await change.table('settings').delete('ledger-up-to');
      await change.table('stations').toCollection().modify({ changed: -1 });
    });
    // A station says what of it is looked at first.
    this.version(6).upgrade((change) => change.table('stations').toCollection().modify({ changed: -1 }));
  }
}

/** Everything that this device keeps. */
export const store = new FieldStore();

/** The stations of the group on this device: no place of practice is among them. */
export const realStations = () => store.stations.filter(({ practice }) => !practice).toArray();

export async function readSetting<T>(name: string, otherwise: T): Promise<T> {
  return ((await store.settings.get(name))?.value as T | undefined) ?? otherwise;
}

export async function writeSetting(name: string, value: unknown): Promise<void> {
  await store.settings.put({ name, value });
}

import Dexie, { type EntityTable } from 'dexie';
import type { ClarityPoint, Entry, StationRecord } from '../api/client';

/** waiting: on this device only. sent: the server has it. refused: the server said why not; still here. */
export type EntryState = 'waiting' | 'sent' | 'refused';

export interface KeptEntry {
  id: string;
  visit: string;
  state: EntryState;
  entry: Entry;
  problem?: string;
}

export interface KeptStation {
  code: string;
  ordinal: number;
  /** The server's mark of the record when it was fetched. */
  changed: number;
  /** False where this person may read but not write. */
  maySample: boolean;
  record: StationRecord;
}

/** What the last fold of a visit on this device gave, so that lists need not fold again. */
export interface KeptVisit {
  visit: string;
  station: string;
  startedAt: string;
  closed: boolean;
  point?: ClarityPoint;
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

  constructor() {
    super('upper-still');
    this.version(1).stores({ entries: 'id, visit, state', stations: 'code', visits: 'visit, station', settings: 'name' });
  }
}

/** Everything that this device keeps. */
export const store = new FieldStore();

export async function readSetting<T>(name: string, otherwise: T): Promise<T> {
  return ((await store.settings.get(name))?.value as T | undefined) ?? otherwise;
}

export async function writeSetting(name: string, value: unknown): Promise<void> {
  await store.settings.put({ name, value });
}

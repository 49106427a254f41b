import { v7 as uuid } from 'uuid';
import type { Entry, Schemas } from '../api/client';
import { currentSession } from '../people/session';
import { nowLocal, nowMs } from './clock';
import { compute } from './core';
import { deliverAfterDrawing } from './delivery';
import { readSetting, store, writeSetting } from './store';

/** The body of each kind of entry, as the server describes them. */
export interface EntryBodies {
  'visit-started': Schemas['VisitStartedBody'];
  sounding: Schemas['SoundingBody'];
  'disc-mark': Schemas['DiscMarkBody'];
  'disc-outcome': Schemas['DiscOutcomeBody'];
  taken: Schemas['TakenBody'];
  strike: Schemas['EmptyBody'];
  kept: Schemas['KeptBody'];
  'visit-closed': Schemas['EmptyBody'];
}

export interface NewEntry<Kind extends keyof EntryBodies> {
  visit: string;
  kind: Kind;
  body: EntryBodies[Kind];
  strikes?: string;
  why?: string;
}

/** An id for a visit or an entry: UUIDv7, made on the device. */
export function newId(): string {
  return uuid({ msecs: nowMs() });
}

/** This device's name in the log. */
export async function deviceName(): Promise<string> {
  let name = await readSetting('device', '');
  if (!name) {
    const kind = /Android|iPhone|Mobile/.test(navigator.userAgent) ? 'phone' : 'computer';
    name = `${kind} ${uuid().slice(-4)}`;
    await writeSetting('device', name);
  }
  return name;
}

/** Writes entries on this device, all of them or none, and asks for their delivery. */
export async function write(...entries: NewEntry<keyof EntryBodies>[]): Promise<void> {
  const by = currentSession().known?.name ?? 'unknown';
  const device = await deviceName();
  const made: Entry[] = entries.map((entry) => ({ version: 1, at: nowLocal(), by, device, id: newId(), ...entry }));
  for (const entry of made) {
    const { refusal } = await compute('check-entry', entry);
    if (refusal) {
      throw new Error(`${refusal.seen} ${refusal.act}`);
    }
  }
  await store.entries.bulkAdd(made.map((entry) => ({ id: entry.id, visit: entry.visit, state: 'waiting' as const, entry })));
  deliverAfterDrawing();
}

import { useSyncExternalStore } from 'react';
import { api, bearToken, type Schemas } from '../api/client';
import { forgetPulled } from '../api/usePulled';
import { readSetting, store, writeSetting } from '../field/store';

export type SessionPerson = Schemas['SessionPerson'];
export type SessionInfo = Schemas['SessionInfo'];

export interface Session {
  /** Who is signed in by the server's word; undefined until it has been asked. */
  person: SessionPerson | null | undefined;
  /** Who uses this device, also with no signal; undefined until read. */
  known: SessionPerson | null | undefined;
  demoAccounts: Schemas['DemoAccount'][];
  firstNeeded: boolean;
}

let session: Session = { person: undefined, known: undefined, demoAccounts: [], firstNeeded: false };
const listeners = new Set<() => void>();

function set(change: Partial<Session>): void {
  session = { ...session, ...change };
  for (const listener of listeners) {
    listener();
  }
}

export function currentSession(): Session {
  return session;
}

export function useSession(): Session {
  return useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, currentSession);
}

/** Reads who uses this device: work goes on with no signal and after a sign-in has lapsed. */
export async function loadSession(): Promise<void> {
  set({ known: await readSetting<SessionPerson | null>('person', null) });
}

/** Takes over what the server says of this device's session. */
export async function takeSession(info: SessionInfo): Promise<void> {
  bearToken(info.token);
  const person = info.person ?? null;
  if (session.known && person?.id !== session.known.id) {
    forgetPulled();
  }
  if (person) {
    await writeSetting('person', person);
  }
  set({ person, known: person ?? session.known, demoAccounts: info.demoAccounts ?? [], firstNeeded: info.firstNeeded });
}

/** Asks the server once; again after {@link lapsed}. */
export async function askSession(): Promise<void> {
  if (session.person === undefined) {
    const { data } = await api.GET('/api/session');
    if (data) {
      await takeSession(data);
    }
  }
}

/** The server no longer knows this session: it is asked again before the next delivery. */
export function lapsed(): void {
  set({ person: undefined });
}

/** The server has made this session anew: its token for writes is another one. */
export async function renewSession(): Promise<void> {
  lapsed();
  await askSession();
}

/** Signs out on this device. What waits to be sent stays; the group's record does not. */
export async function signOut(): Promise<void> {
  const { data } = await api.DELETE('/api/session');
  if (!data) {
    throw new Error('The server could not be reached; you are still signed in.');
  }
  const waiting = new Set((await store.entries.where('state').anyOf('waiting', 'refused').toArray()).map((kept) => kept.visit));
  await store.entries
    .where('visit')
    .noneOf([...waiting])
    .delete();
  await store.visits
    .where('visit')
    .noneOf([...waiting])
    .delete();
  await Promise.all([
    store.stations.clear(),
    store.outings.clear(),
    store.ticks.clear(),
    store.photos.clear(),
    store.samples.clear(),
  ]);
  await store.settings.bulkDelete(['person', 'ledger-up-to', 'laboratory-door']);
  set({ known: null });
  await takeSession(data);
}

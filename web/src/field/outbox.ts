import type { Entry } from '../api/client';
import { currentSession } from '../people/session';
import { type KeptEntry, store } from './store';

/** What is on this device only. */
export interface Outbox {
  /** Waits, and is sent by itself. */
  mine: KeptEntry[];
  /** Written by somebody else who used this device: it waits for their sign-in. */
  others: KeptEntry[];
  /** The server said why not. */
  refused: KeptEntry[];
}

const MARK = 'upper-still-on-this-device-only';
const COPY = 'on-this-device-only.json';
const FORMAT = 1;
const AFTER_MS = 300;

/**
 * True for what whoever uses this device wrote on it, or what came from the server: nothing is sent in somebody else's name, or
 * shown to them before it is sent.
 */
export function isMine({ person, state, entry }: { person?: string | undefined; state?: string; entry?: Entry }): boolean {
  const { known } = currentSession();
  // What an earlier build wrote, and has not been sent, says who wrote it by the name alone.
  return person === undefined ? state !== 'waiting' || !known || entry?.by === known.name : person === known?.id;
}

/** True for what a coordinator, who uses this device now, has said they deliver for whoever made it. */
export function isThrough({ through }: KeptEntry): boolean {
  return through !== undefined && through === currentSession().known?.id;
}

/** The coordinator who uses this device delivers what came out of a saved file for whoever made it. */
export async function deliverForOthers(): Promise<void> {
  const through = currentSession().known?.id;
  if (through) {
    await store.entries
      .where('state')
      .anyOf('waiting', 'refused')
      .filter((kept) => kept.broughtIn === true && !isMine({ ...kept, state: 'waiting' }))
      .modify({ state: 'waiting', through });
  }
}

export async function outbox(): Promise<Outbox> {
  const here = await store.entries.where('state').anyOf('waiting', 'refused').toArray();
  return {
    mine: here.filter((kept) => kept.state === 'waiting' && isMine(kept)),
    others: here.filter((kept) => kept.state === 'waiting' && !isMine(kept)),
    refused: here.filter(({ state }) => state === 'refused'),
  };
}

/** What waits as the text of a file that another device, or this one, can bring in. */
export function asFile(kept: KeptEntry[]): string {
  return JSON.stringify({ format: FORMAT, kept: kept.map(({ entry, person }) => ({ entry, person })) }, null, 1);
}

/** Reads such a file; nothing where it is none. */
export function fromFile(text: string): { entry: Entry; person?: string }[] | undefined {
  try {
    const read = JSON.parse(text) as { format?: number; kept?: { entry?: Entry; person?: string }[] };
    const kept = read.format === FORMAT && Array.isArray(read.kept) ? read.kept : undefined;
    return kept?.every(
      ({ entry }) => typeof entry?.id === 'string' && typeof entry.visit === 'string' && typeof entry.kind === 'string',
    )
      ? (kept as { entry: Entry; person?: string }[])
      : undefined;
  } catch {
    return undefined;
  }
}

/** Brings entries into this device's store, to be sent; those that are here already stay as they are. Says how many came in. */
export async function bringIn(kept: { entry: Entry; person?: string }[]): Promise<number> {
  const known = new Set(
    await store.entries
      .where('id')
      .anyOf(kept.map(({ entry }) => entry.id))
      .primaryKeys(),
  );
  const fresh = kept.filter(({ entry }) => !known.has(entry.id));
  await store.entries.bulkAdd(
    fresh.map(({ entry, person }) => ({
      id: entry.id,
      visit: entry.visit,
      state: 'waiting' as const,
      entry,
      broughtIn: true,
      ...(person && { person }),
    })),
  );
  await keepApart();
  return fresh.length;
}

async function folder(): Promise<FileSystemDirectoryHandle | undefined> {
  try {
    return await navigator.storage?.getDirectory?.();
  } catch {
    // A private window has none.
    return undefined;
  }
}

let soon: Promise<void> | undefined;

/** Keeps a second copy of what waits apart from the store, with a mark of how much it is, shortly after it changed. */
export function keepApart(): Promise<void> {
  soon ??= new Promise((done) => {
    setTimeout(() => {
      soon = undefined;
      void writeCopy().finally(done);
    }, AFTER_MS);
  });
  return soon;
}

async function writeCopy(): Promise<void> {
  const kept = await store.entries.where('state').anyOf('waiting', 'refused').toArray();
  try {
    if (kept.length > 0) {
      localStorage.setItem(MARK, String(kept.length));
    } else {
      localStorage.removeItem(MARK);
    }
    const file = await (await folder())?.getFileHandle(COPY, { create: true });
    const out = await file?.createWritable?.();
    await out?.write(asFile(kept));
    await out?.close();
  } catch {
    // It is the second copy; the first one is written.
  }
}

/**
 * What was found when the page was opened: how many entries had not been sent and are gone from the store, and how many of them
 * the second copy gave back.
 */
export interface Emptied {
  lost: number;
  back: number;
}

/** Recognises a store that the browser, or somebody, has emptied while entries waited in it. */
export async function lookForEmptied(): Promise<Emptied | undefined> {
  const marked = Number(localStorage.getItem(MARK) ?? 0);
  if (
    !marked ||
    (await store.entries.where('state').anyOf('waiting', 'refused').count()) > 0 ||
    (await store.settings.get('device'))
  ) {
    return undefined;
  }
  let back = 0;
  try {
    const file = await (await folder())?.getFileHandle(COPY);
    const kept = fromFile((await (await file?.getFile())?.text()) ?? '');
    back = kept ? await bringIn(kept) : 0;
  } catch {
    // No copy: it went with the store.
  }
  localStorage.removeItem(MARK);
  return { lost: Math.max(marked, back), back };
}

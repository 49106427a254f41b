import { api, type Schemas } from '../api/client';
import { askSession, currentSession, lapsed, loadSession } from '../people/session';
import { loadClock, nowLocal, setClock } from './clock';
import { deviceName } from './device';
import { refreshLedger } from './ledger';
import { isMine, isThrough, keepApart } from './outbox';
import { type KeptEntry, type KeptFile, readSetting, store, writeSetting } from './store';

const MOST_AT_ONCE = 200;
const RETRY_MS = 4000;
const REFRESH_MS = 60_000;
const DRAWING_MS = 400;
const MOST_FAILS = 24;
const FAILS_ALONE =
  'The server fails over this entry alone, and took the others. That is a fault of Upper Still: tell whoever runs it; the entry stays here.';

export interface Reach {
  /** undefined until the first try. */
  server: boolean | undefined;
  demoDay: string | undefined;
  /** Why a server that answers takes nothing: whoever is signed in may not write, or it has no room left. */
  hindered: 'role' | 'room' | undefined;
}

let reach: Reach = { server: undefined, demoDay: undefined, hindered: undefined };
const listeners = new Set<() => void>();

export function watchReach(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function currentReach(): Reach {
  return reach;
}

function setReach(next: Reach): void {
  if (next.server !== reach.server || next.demoDay !== reach.demoDay || next.hindered !== reach.hindered) {
    reach = next;
    for (const listener of listeners) {
      listener();
    }
  }
}

/**
 * Answers that say nothing of a single entry: no sign-in, no right, too many requests, a gateway without a server, a server
 * without room.
 */
const NOT_ITS_FAULT = new Set([400, 401, 403, 404, 429, 502, 503, 504, 507]);

/** A backup is made each night, and somebody looks after it within two weeks. */
const FILES_STAY_MS = 14 * 24 * 3600 * 1000;

/** How far the server's log reached when it last took entries from this device. */
const LOG_MARK = 'log-mark';

/** The server's log was restored, or lost what it had: what this device sent is offered again. What is there already is known by its id. */
async function offerAgain(): Promise<void> {
  const device = await deviceName();
  await store.entries
    .where('state')
    .equals('sent')
    .and(({ entry }) => entry.device === device)
    .modify({ state: 'waiting' });
  await store.files.toCollection().modify((file) => {
    delete file.sent;
  });
}

/** What one round of deliveries found out. */
interface Round {
  /** Strikes whose target has not come yet. */
  early: Set<string>;
  /** Entries with which a delivery fails even where they are sent alone. */
  alone: Set<string>;
  /** True once the server has taken something. */
  went: boolean;
  /** False where its log is not the one this device spoke with. */
  holds: boolean;
  fails: number;
  /** The answer after which it makes no sense to go on. */
  stopped: number | undefined;
}

let halvedAt = Number.NEGATIVE_INFINITY;

/** Sends entries; a delivery that fails is halved until the one entry stands alone with which it fails, and the others go. */
async function send(part: KeptEntry[], round: Round, onBehalf: boolean): Promise<void> {
  const mark = await readSetting<Schemas['LogMark'] | null>(LOG_MARK, null);
  const { data, response } = await api.POST('/api/entries', {
    body: { sentAt: nowLocal(), entries: part.map((kept) => kept.entry), mark, onBehalf },
  });
  if (!data || data.answers.length !== part.length) {
    round.fails++;
    if (NOT_ITS_FAULT.has(response.status) || round.fails > MOST_FAILS || part.length === 0) {
      round.stopped = response.status;
    } else if (part.length === 1) {
      round.alone.add(part[0]?.id ?? '');
    } else {
      const half = Math.ceil(part.length / 2);
      for (const piece of [part.slice(0, half), part.slice(half)]) {
        if (round.stopped === undefined) {
          await send(piece, round, onBehalf);
        }
      }
    }
    return;
  }
  await store.transaction('rw', store.entries, store.settings, async () => {
    for (const answer of data.answers) {
      const kept = part[answer.index];
      if (kept && answer.status === 'waits') {
        round.early.add(kept.id);
      } else if (kept) {
        await store.entries.update(
          kept.id,
          answer.status === 'refused'
            ? { state: 'refused', problem: `${answer.problem?.title ?? ''} ${answer.problem?.detail ?? ''}`.trim() }
            : { state: 'sent' },
        );
      }
    }
    await writeSetting(LOG_MARK, data.mark);
  });
  round.went ||= part.length > 0;
  round.holds &&= data.holds;
}

/** Sends what waits, once, and asks whether the server still has what it took; says whether the server was there. */
export async function deliverWaiting(): Promise<boolean> {
  // A server in trouble fails over everything: how it fails is looked at now and then, not at each try.
  const looks = Date.now() - halvedAt > REFRESH_MS;
  const round: Round = {
    early: new Set(),
    alone: new Set(),
    went: false,
    holds: true,
    fails: looks ? 0 : MOST_FAILS,
    stopped: undefined,
  };
  for (let asked = false; ; asked = true) {
    const next = (which: (kept: KeptEntry) => boolean) =>
      store.entries
        .where('state')
        .equals('waiting')
        .filter((kept) => which(kept) && !round.early.has(kept.id) && !round.alone.has(kept.id))
        .limit(MOST_AT_ONCE)
        .toArray();
    const mine = await next((kept) => isMine(kept) && !isThrough(kept));
    const part = mine.length > 0 ? mine : await next(isThrough);
    if (part.length === 0 && (asked || !(await readSetting(LOG_MARK, null)))) {
      break;
    }
    await send(part, round, mine.length === 0 && part.length > 0);
    if (round.stopped !== undefined) {
      break;
    }
    if (!round.holds) {
      round.holds = true;
      await offerAgain();
    }
  }
  if (round.fails > 0 && looks) {
    halvedAt = Date.now();
  }
  void keepApart();
  if (round.went) {
    // It took the others: what failed alone is set aside, so that it holds nothing up.
    await store.entries
      .where('id')
      .anyOf([...round.alone])
      .modify({ state: 'refused', problem: FAILS_ALONE });
  }
  if (round.stopped === 401 || round.stopped === 400) {
    // The sign-in has lapsed, or another took its place: nothing is lost, the page asks.
    lapsed();
  }
  setReach({ ...reach, hindered: round.stopped === 403 ? 'role' : round.stopped === 507 ? 'room' : undefined });
  // A server that answers but cannot take them now: they stay and are sent again.
  return (round.stopped === undefined && (round.went || round.alone.size === 0)) || (round.stopped ?? 500) < 429;
}

/** True where an entry names a file. */
function names(body: unknown, name: string): boolean {
  const { sha256, value } = body as { sha256?: string; value?: { photo?: string } };
  return sha256 === name || value?.photo === name;
}

/** Files that can be sent: the server has the entry that names them, and has not refused them. */
async function filesToSend(): Promise<KeptFile[]> {
  const files: KeptFile[] = [];
  for (const file of await store.files.filter(({ problem, sent }) => !problem && !sent).toArray()) {
    const entries = await store.entries.where('visit').equals(file.visit).toArray();
    if (entries.some(({ state, entry }) => state === 'sent' && names(entry.body, file.sha256))) {
      files.push(file);
    }
  }
  return files;
}

/** Sends those files, once; of those that went some time ago the server has backups. */
export async function deliverFiles(): Promise<void> {
  const past = Date.now() - FILES_STAY_MS;
  await store.files.filter(({ sent }) => sent !== undefined && sent < past).delete();
  for (const { sha256, visit, file, photo } of await filesToSend()) {
    const { response, error } = photo
      ? await api.PUT('/api/visits/{visit}/photos/{id}', {
          params: { path: { visit, id: sha256 } },
          body: file as never,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'image/jpeg' },
        })
      : await api.PUT('/api/visits/{visit}/casts/{sha256}', {
          params: { path: { visit, sha256 } },
          body: file as never,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'text/csv' },
        });
    if (response.ok) {
      await store.files.update(sha256, { sent: Date.now() });
    } else if ([400, 403, 404, 409, 413].includes(response.status)) {
      await store.files.update(sha256, { problem: error?.title ?? `The server answered ${response.status}.` });
    }
  }
}

/** Brings the stations and their records to this device; only what changed. */
async function refresh(): Promise<void> {
  const person = currentSession().person;
  const [instance, list, instruments] = await Promise.all([
    api.GET('/api/instance'),
    person ? api.GET('/api/stations') : Promise.resolve({ data: undefined }),
    person ? api.GET('/api/instruments') : Promise.resolve({ data: undefined }),
  ]);
  if (instruments.data) {
    await writeSetting('instruments', instruments.data);
  }
  if (instance.data) {
    await setClock(instance.data);
    setReach({ ...reach, server: true, demoDay: instance.data.demo ? instance.data.now.slice(0, 10) : undefined });
  }
  if (!list.data) {
    return;
  }
  await forgetStationsExcept(list.data.map(({ station }) => station.code));
  await Promise.all(
    list.data.map(async ({ station, changed, maySample }, ordinal) => {
      const kept = await store.stations.get(station.code);
      if (kept?.changed === changed) {
        await store.stations.update(station.code, { ordinal, maySample });
      } else {
        const record = await api.GET('/api/stations/{code}', { params: { path: { code: station.code } } });
        if (record.data) {
          await store.stations.put({ code: station.code, ordinal, changed, maySample, record: record.data });
        }
      }
    }),
  );
  // After what a boat needs.
  await refreshLedger();
}

/** Stations that this person does not see, or that are gone, leave the device; a visit that still waits keeps its own. */
async function forgetStationsExcept(codes: string[]): Promise<void> {
  const waiting = new Set((await store.entries.where('state').anyOf('waiting', 'refused').toArray()).map((kept) => kept.visit));
  const needed = (await store.visits.toArray()).filter((v) => waiting.has(v.visit) || !v.closed).map((v) => v.station);
  await store.stations
    .where('code')
    .noneOf([...codes, ...needed])
    .filter(({ practice }) => !practice)
    .delete();
}

let running: Promise<void> | undefined;
let again = false;
let refreshedAt = 0;
// True where everything is to be fetched first; asked for while a round runs, it is done in the next.
let anew = true;

async function round(): Promise<void> {
  const wanted = anew;
  anew = false;
  try {
    const before =
      (await store.entries
        .where('state')
        .equals('waiting')
        .filter((kept) => isMine(kept) || isThrough(kept))
        .count()) + (await filesToSend()).length;
    if (wanted || before > 0 || Date.now() - refreshedAt > REFRESH_MS) {
      // The clock first: the server compares it with its own when entries arrive.
      await askSession();
      if (wanted) {
        await refresh();
      }
      if (currentSession().person) {
        await deliverWaiting();
        await deliverFiles();
        await refresh();
      }
      refreshedAt = Date.now();
    }
    setReach({ ...reach, server: true });
  } catch {
    anew = true;
    setReach({ ...reach, server: false });
  }
}

/** Fetches everything anew, for whoever has just signed in. */
export function refreshNow(): void {
  anew = true;
  deliverSoon();
}

/** Delivers now; while a delivery runs, once more after it. */
export function deliverSoon(): void {
  if (running) {
    again = true;
    return;
  }
  running = round().finally(() => {
    running = undefined;
    if (again) {
      again = false;
      deliverSoon();
    }
  });
}

let soon: ReturnType<typeof setTimeout> | undefined;

/** Delivers after a short pause: what was written is drawn first, and entries of one moment travel together. */
export function deliverAfterDrawing(): void {
  clearTimeout(soon);
  soon = setTimeout(deliverSoon, DRAWING_MS);
}

/**
 * Reads the clock kept on the device, then delivers at once, on every sign of a signal, and by a timer: a server that comes back
 * sends no event.
 */
export function startDelivering(): void {
  void Promise.allSettled([loadClock(), loadSession()]).then(deliverSoon);
  setInterval(deliverSoon, RETRY_MS);
  addEventListener('online', deliverSoon);
  addEventListener('offline', () => setReach({ ...reach, server: false }));
  document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && deliverSoon());
}

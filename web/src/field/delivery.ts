import { api, type Schemas } from '../api/client';
import { askSession, currentSession, lapsed, loadSession } from '../people/session';
import { loadClock, nowLocal, setClock } from './clock';
import { deviceName } from './device';
import { refreshLedger } from './ledger';
import { type KeptFile, readSetting, store, writeSetting } from './store';

const MOST_AT_ONCE = 200;
const RETRY_MS = 4000;
const REFRESH_MS = 60_000;
const DRAWING_MS = 400;

export interface Reach {
  /** undefined until the first try. */
  server: boolean | undefined;
  demoDay: string | undefined;
}

let reach: Reach = { server: undefined, demoDay: undefined };
const listeners = new Set<() => void>();

export function watchReach(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function currentReach(): Reach {
  return reach;
}

function setReach(next: Reach): void {
  if (next.server !== reach.server || next.demoDay !== reach.demoDay) {
    reach = next;
    for (const listener of listeners) {
      listener();
    }
  }
}

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
}

/** Sends what waits, once, and asks whether the server still has what it took; says whether the server was there. */
export async function deliverWaiting(): Promise<boolean> {
  let asked = false;
  // What strikes an entry that the server does not have yet is tried again in the next round, not in this one.
  const early = new Set<string>();
  for (;;) {
    const waiting = await store.entries
      .where('state')
      .equals('waiting')
      .filter(({ id }) => !early.has(id))
      .limit(MOST_AT_ONCE)
      .toArray();
    const mark = await readSetting<Schemas['LogMark'] | null>(LOG_MARK, null);
    if (waiting.length === 0 && (asked || !mark)) {
      return true;
    }
    asked = true;
    const { data, response } = await api.POST('/api/entries', {
      body: { sentAt: nowLocal(), entries: waiting.map((kept) => kept.entry), mark },
    });
    if (!data || data.answers.length !== waiting.length) {
      if (response.status === 401 || response.status === 400) {
        // The sign-in has lapsed, or another took its place: nothing is lost, the page asks.
        lapsed();
      }
      // A server that answers but cannot take them now; they stay and are sent again.
      return response.status < 500 && response.status !== 429;
    }
    await store.transaction('rw', store.entries, store.settings, async () => {
      for (const answer of data.answers) {
        const kept = waiting[answer.index];
        if (kept && answer.status === 'waits') {
          early.add(kept.id);
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
    if (!data.holds) {
      await offerAgain();
    }
  }
}

/** Files of logged casts that can be sent: the server has the entry that names them, and has not refused them. */
async function filesToSend(): Promise<KeptFile[]> {
  const files: KeptFile[] = [];
  for (const file of await store.files.filter(({ problem }) => !problem).toArray()) {
    const entries = await store.entries.where('visit').equals(file.visit).toArray();
    if (entries.some(({ state, entry }) => state === 'sent' && (entry.body as { sha256?: string }).sha256 === file.sha256)) {
      files.push(file);
    }
  }
  return files;
}

/** Sends those files, once. */
export async function deliverFiles(): Promise<void> {
  for (const { sha256, visit, file } of await filesToSend()) {
    const { response, error } = await api.PUT('/api/visits/{visit}/casts/{sha256}', {
      params: { path: { visit, sha256 } },
      body: file as never,
      bodySerializer: (body) => body,
      headers: { 'Content-Type': 'text/csv' },
    });
    if (response.ok) {
      await store.files.delete(sha256);
    } else if ([403, 404, 413].includes(response.status)) {
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
    setReach({ server: true, demoDay: instance.data.demo ? instance.data.now.slice(0, 10) : undefined });
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
    .delete();
}

let running: Promise<void> | undefined;
let again = false;
let refreshedAt = 0;

async function round(): Promise<void> {
  try {
    const before = (await store.entries.where('state').equals('waiting').count()) + (await filesToSend()).length;
    if (!refreshedAt || before > 0 || Date.now() - refreshedAt > REFRESH_MS) {
      // The clock first: the server compares it with its own when entries arrive.
      await askSession();
      if (!refreshedAt) {
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
    refreshedAt = 0;
    setReach({ ...reach, server: false });
  }
}

/** Fetches everything anew, for whoever has just signed in. */
export function refreshNow(): void {
  refreshedAt = 0;
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

/** Reads the clock kept on the device, then delivers at once, on every sign of a signal, and by a timer: a server that comes back sends no event. */
export function startDelivering(): void {
  void Promise.allSettled([loadClock(), loadSession()]).then(deliverSoon);
  setInterval(deliverSoon, RETRY_MS);
  addEventListener('online', deliverSoon);
  addEventListener('offline', () => setReach({ ...reach, server: false }));
  document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && deliverSoon());
}

import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Entry } from '../api/client';
import { currentReach, deliverFiles, deliverWaiting } from './delivery';
import { store, writeSetting } from './store';
import { pendingVisits, withLocal } from './visits';

const entry = (id: string, visit = 'v1'): Entry => ({
  id,
  visit,
  kind: 'sounding',
  version: 1,
  body: { depth: { written: '12', unit: 'm' } },
  at: '2026-08-12T10:30:00+01:00',
  by: 'Asa',
  device: 'phone',
});

const writes = (...ids: string[]) =>
  store.entries.bulkAdd(ids.map((id) => ({ id, visit: 'v1', state: 'waiting' as const, entry: entry(id) })));
const states = async () => Object.fromEntries((await store.entries.toArray()).map((kept) => [kept.id, kept.state]));

function server(answer: (ids: string[]) => Response): { calls: string[][] } {
  const calls: string[][] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { entries } = (await request.json()) as { entries: Entry[] };
    const ids = entries.map((e) => e.id);
    calls.push(ids);
    return answer(ids);
  });
  return { calls };
}

const answers = (ids: string[], status: (id: string) => string) =>
  Response.json({
    answers: ids.map((id, index) => ({ index, id, status: status(id), problem: { title: 'Refused.', detail: 'Because.' } })),
    mark: { sequence: ids.length, hash: 'aa' },
    holds: true,
  });

beforeEach(() => Promise.all([store.entries.clear(), store.files.clear(), store.settings.clear()]));
afterEach(() => vi.unstubAllGlobals());

test('what the server takes, or has already, is no longer on this device only', async () => {
  await writes('a', 'b');
  const { calls } = server((ids) => answers(ids, (id) => (id === 'a' ? 'kept' : 'already')));

  expect(await deliverWaiting()).toBe(true);

  expect(calls).toEqual([['a', 'b']]);
  expect(await states()).toEqual({ a: 'sent', b: 'sent' });
});

test('what strikes an entry that has not come yet waits for the next round, and holds nothing up', async () => {
  await writes('a', 'b');
  const { calls } = server((ids) => answers(ids, (id) => (id === 'a' ? 'waits' : 'kept')));

  expect(await deliverWaiting()).toBe(true);
  expect(calls).toEqual([['a', 'b']]);
  expect(await states()).toEqual({ a: 'waiting', b: 'sent' });

  server((ids) => answers(ids, () => 'kept'));
  await deliverWaiting();
  expect(await states()).toEqual({ a: 'sent', b: 'sent' });
});

test('a server that was restored is offered again what this device sent, and nothing of others', async () => {
  await writeSetting('device', 'phone');
  await writes('a', 'b');
  server((ids) => answers(ids, () => 'kept'));
  await deliverWaiting();
  await store.entries.bulkAdd([
    { id: 'c', visit: 'v1', state: 'sent', entry: { ...entry('c'), device: 'tablet' } },
    { id: 'd', visit: 'v1', state: 'refused', entry: entry('d') },
  ]);

  // Nothing waits: the device asks all the same whether its mark is held.
  let marks: unknown[] = [];
  const calls: string[][] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { entries, mark } = (await request.json()) as { entries: Entry[]; mark: unknown };
    marks = [...marks, mark];
    calls.push(entries.map(({ id }) => id));
    return Response.json({
      answers: entries.map(({ id }, index) => ({ index, id, status: id === 'a' ? 'already' : 'kept' })),
      mark: { sequence: 1, hash: 'bb' },
      holds: calls.length > 1,
    });
  });
  await deliverWaiting();

  expect(calls).toEqual([[], ['a', 'b']]);
  expect(marks).toEqual([
    { sequence: 2, hash: 'aa' },
    { sequence: 1, hash: 'bb' },
  ]);
  expect(await states()).toEqual({ a: 'sent', b: 'sent', c: 'sent', d: 'refused' });
});

test('a refused entry stays here with the reason, and the others go', async () => {
  await writes('a', 'b');
  server((ids) => answers(ids, (id) => (id === 'a' ? 'refused' : 'kept')));

  await deliverWaiting();

  expect(await states()).toEqual({ a: 'refused', b: 'sent' });
  expect((await store.entries.get('a'))?.problem).toBe('Refused. Because.');
});

test.each([
  ['no network', () => Promise.reject(new TypeError('Failed to fetch'))],
  ['a server in trouble', () => Promise.resolve(new Response('{}', { status: 500 }))],
  ['somebody else’s page', () => Promise.resolve(new Response('<html>', { status: 502 }))],
])('with %s nothing is lost', async (_, answer) => {
  await writes('a');
  vi.stubGlobal('fetch', answer);

  await deliverWaiting().catch(() => {});

  expect(await states()).toEqual({ a: 'waiting' });
});

test('a server without room is not asked again and again, and is named as the reason', async () => {
  await writes('a', 'b');
  let calls = 0;
  vi.stubGlobal('fetch', async () => {
    calls += 1;
    return Response.json({ title: 'The server has no room left.' }, { status: 507 });
  });

  await deliverWaiting();

  expect([calls, await states(), currentReach().hindered]).toEqual([1, { a: 'waiting', b: 'waiting' }, 'room']);
});

test('a long day offline is delivered in parts, each entry once', async () => {
  const ids = Array.from({ length: 450 }, (_, i) => `e${String(i).padStart(3, '0')}`);
  await writes(...ids);
  const { calls } = server((sent) => answers(sent, () => 'kept'));

  await deliverWaiting();

  expect(calls.map((call) => call.length)).toEqual([200, 200, 50]);
  expect(calls.flat().sort()).toEqual(ids);
});

const cast = (sha256: string): Entry => ({ ...entry(sha256), kind: 'logged-cast', body: { sha256 } });

test('the file of a logged cast follows its entry, and goes once', async () => {
  await store.files.bulkAdd(['one', 'two'].map((sha256) => ({ sha256, visit: 'v1', file: new Blob(['1,2']) })));
  await store.entries.bulkAdd([
    { id: 'one', visit: 'v1', state: 'sent', entry: cast('one') },
    { id: 'two', visit: 'v1', state: 'waiting', entry: cast('two') },
  ]);
  const put: string[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    put.push(new URL(request.url).pathname);
    return new Response(null, { status: 204 });
  });

  await deliverFiles();
  await deliverFiles();

  expect(put).toEqual(['/api/visits/v1/casts/one']);
  expect((await store.files.toArray()).filter(({ sent }) => !sent).map(({ sha256 }) => sha256)).toEqual(['two']);
});

test('a file that went is offered again to a server that was restored, and is forgotten after two weeks', async () => {
  vi.useFakeTimers({ toFake: ['Date'] });
  await store.files.add({ sha256: 'one', visit: 'v1', file: new Blob(['1,2']) });
  await store.entries.add({ id: 'one', visit: 'v1', state: 'sent', entry: cast('one') });
  let holds = true;
  let put = 0;
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'PUT') {
      put += 1;
      return new Response(null, { status: 204 });
    }
    const { entries } = (await request.json()) as { entries: Entry[] };
    const answer = { answers: entries.map((_, index) => ({ index, status: 'kept' })), mark: { sequence: 1, hash: 'x' }, holds };
    holds = true;
    return Response.json(answer);
  });
  await deliverFiles();
  await deliverFiles();
  expect(put).toBe(1);

  holds = false;
  await store.entries.add({ id: 'next', visit: 'v2', state: 'waiting', entry: entry('next') });
  await deliverWaiting();
  await deliverFiles();
  expect(put).toBe(2);

  vi.setSystemTime(Date.now() + 15 * 24 * 3600 * 1000);
  await deliverFiles();
  expect(await store.files.count()).toBe(0);
  vi.useRealTimers();
});

test.each([
  [413, 1],
  [403, 1],
  [500, 2],
  [401, 2],
])('a file that is answered with %i stays here; refused, it is not sent again by itself', async (status, sent) => {
  await store.files.add({ sha256: 'one', visit: 'v1', file: new Blob(['1,2']) });
  await store.entries.add({ id: 'one', visit: 'v1', state: 'sent', entry: cast('one') });
  let calls = 0;
  vi.stubGlobal('fetch', async () => {
    calls += 1;
    return Response.json({ title: 'Not this one.' }, { status });
  });

  await deliverFiles();
  await deliverFiles();

  expect(calls).toBe(sent);
  expect((await store.files.get('one'))?.problem).toBe(sent === 1 ? 'Not this one.' : undefined);
});

test('the record shows what this device has and the server has not, and trusts the server for the rest', async () => {
  const point = (visit: string, clarityM: number) => ({
    visit,
    date: '2026-08-12',
    clarityM,
    censored: false,
    usable: true,
    signedOff: false,
  });
  const here = (visit: string, clarityM: number) => ({
    visit,
    station: 'S',
    startedAt: '',
    closed: true,
    point: point(visit, clarityM),
  });
  await store.entries.add({ id: 'x', visit: 'corrected', state: 'waiting', entry: entry('x', 'corrected') });

  const shown = withLocal(
    [point('corrected', 3), point('stale', 4)],
    [here('corrected', 3.5), here('stale', 9), here('new', 5)],
    await pendingVisits(),
  );

  expect(Object.fromEntries(shown.map((p) => [p.visit, p.clarityM]))).toEqual({ corrected: 3.5, stale: 4, new: 5 });
});

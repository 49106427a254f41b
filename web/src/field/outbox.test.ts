import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Entry } from '../api/client';
import { takeSession } from '../people/session';
import { deliverWaiting } from './delivery';
import { asFile, bringIn, deliverForOthers, fromFile, keepApart, lookForEmptied, outbox } from './outbox';
import { store, writeSetting } from './store';
import { emptiedTrouble } from './trouble';

const entry = (id: string): Entry => ({
  id,
  visit: 'v1',
  kind: 'sounding',
  version: 1,
  body: { depth: { written: '12', unit: 'm' } },
  at: '2026-08-12T10:30:00+01:00',
  by: 'Asa',
  device: 'phone',
});
const writes = (person: string | undefined, ...ids: string[]) =>
  store.entries.bulkAdd(
    ids.map((id) => ({ id, visit: 'v1', state: 'waiting' as const, entry: entry(id), ...(person && { person }) })),
  );
const states = async () => Object.fromEntries((await store.entries.toArray()).map((kept) => [kept.id, kept.state]));
const signsIn = (id: string) =>
  takeSession({
    token: 't',
    firstNeeded: false,
    person: {
      id,
      name: id,
      signInName: id,
      grants: [],
      works: true,
      coordinates: false,
      coordinatesAll: false,
      reports: false,
      secondFactorDue: false,
    },
  });

/** A server that fails over some entries, whatever comes with them. */
function failsOver(status: number, ...bad: string[]): string[][] {
  const calls: string[][] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const ids = ((await request.json()) as { entries: Entry[] }).entries.map(({ id }) => id);
    calls.push(ids);
    return ids.some((id) => bad.includes(id))
      ? new Response('{}', { status })
      : Response.json({
          answers: ids.map((id, index) => ({ index, id, status: 'kept' })),
          mark: { sequence: 1, hash: 'a' },
          holds: true,
        });
  });
  return calls;
}

beforeEach(async () => {
  await Promise.all([store.entries.clear(), store.settings.clear()]);
  // Long after the test before: how a server fails is looked at once in a while.
  hours += 3_600_000;
  vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-08-12T10:00:00Z').getTime() + hours });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});
let hours = 0;

test.each([
  [500, ['c']],
  [413, ['a', 'h']],
  [500, []],
])('a delivery that fails with %i over %j is halved: those are set aside, the others go', async (status, bad) => {
  await writes(undefined, 'a', 'b', 'c', 'd', 'e', 'f', 'g', 'h');
  const calls = failsOver(status, ...bad);

  await deliverWaiting();

  expect(await states()).toEqual(
    Object.fromEntries([...'abcdefgh'].map((id) => [id, (bad as string[]).includes(id) ? 'refused' : 'sent'])),
  );
  expect(calls.length).toBeLessThan(16);
  for (const id of bad) {
    expect((await store.entries.get(id))?.problem).toContain('fails over this entry alone');
  }
});

test('a server that fails over everything is in trouble, and nothing is set aside', async () => {
  const ids = Array.from({ length: 180 }, (_, i) => `e${i}`);
  await writes(undefined, ...ids);
  const calls = failsOver(500, ...ids);

  expect(await deliverWaiting()).toBe(false);
  expect(new Set(Object.values(await states()))).toEqual(new Set(['waiting']));
  expect(calls.length).toBeLessThan(30);

  // It is looked at so closely once in a while, not at every try.
  calls.length = 0;
  await deliverWaiting();
  expect(calls.length).toBe(1);
});

test('what one person wrote is never sent under another’s sign-in, and goes once they are back', async () => {
  await signsIn('bea');
  await writes('asa', 'a');
  await writes('bea', 'b');
  failsOver(500);

  await deliverWaiting();
  expect(await states()).toEqual({ a: 'waiting', b: 'sent' });
  expect((await outbox()).others.map(({ id }) => id)).toEqual(['a']);

  await signsIn('asa');
  await deliverWaiting();
  expect(await states()).toEqual({ a: 'sent', b: 'sent' });
});

test('what waits goes out as a file and comes in again elsewhere, once', async () => {
  await writes('asa', 'a', 'b');
  const file = asFile((await outbox()).others.concat((await outbox()).mine));
  await store.entries.clear();
  await writes('asa', 'b');

  expect(await bringIn(fromFile(file) ?? [])).toBe(1);
  expect(await bringIn(fromFile(file) ?? [])).toBe(0);
  expect(await store.entries.get('a')).toMatchObject({ person: 'asa', state: 'waiting', entry: entry('a') });
});

test.each([
  '',
  '{',
  '[]',
  '{"format":1}',
  '{"format":2,"kept":[]}',
  '{"format":1,"kept":[{"entry":null}]}',
  '{"format":1,"kept":[{"entry":{"id":7}}]}',
])('what is no such file is said to be none: %s', (text) => expect(fromFile(text)).toBeUndefined());

test('a store that was emptied while entries waited is recognised, and said', async () => {
  const mark = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (name: string) => mark.get(name) ?? null,
    setItem: (name: string, value: string) => mark.set(name, value),
    removeItem: (name: string) => mark.delete(name),
  });
  let copy = '';
  const file = {
    getFile: async () => ({ text: async () => copy }),
    createWritable: async () => ({ write: async (text: string) => (copy = text), close: async () => {} }),
  };
  vi.stubGlobal('navigator', { storage: { getDirectory: async () => ({ getFileHandle: async () => file }) } });
  await writeSetting('device', 'phone');
  await writes('asa', 'a', 'b');
  await keepApart();
  expect(await lookForEmptied()).toBeUndefined();

  await Promise.all([store.entries.clear(), store.settings.clear()]);
  expect(await lookForEmptied()).toEqual({ lost: 2, back: 2 });
  expect(await states()).toEqual({ a: 'waiting', b: 'waiting' });

  // The copy went as well.
  await keepApart();
  await Promise.all([store.entries.clear(), store.settings.clear()]);
  copy = '';
  const found = await lookForEmptied();
  expect(found).toEqual({ lost: 2, back: 0 });
  expect(emptiedTrouble(found ?? { lost: 0, back: 0 })).toContain('There is no second copy');
  expect(await lookForEmptied()).toBeUndefined();
});

test('what an earlier build wrote waits for whoever its name says', async () => {
  const calls = failsOver(500);
  await writes(undefined, 'e1');
  await signsIn('bea');
  await deliverWaiting();
  expect(calls.flat()).toEqual([]);
  expect((await outbox()).others).toHaveLength(1);

  await signsIn('Asa');
  await deliverWaiting();
  expect(await states()).toEqual({ e1: 'sent' });
});

test('a coordinator delivers what came out of a saved file, apart from their own, and says that it is for another', async () => {
  const calls: { ids: string[]; onBehalf: boolean }[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { entries, onBehalf } = (await request.json()) as { entries: Entry[]; onBehalf: boolean };
    calls.push({ ids: entries.map(({ id }) => id), onBehalf });
    return Response.json({
      answers: entries.map(({ id }, index) => ({ index, id, status: 'kept' })),
      mark: { sequence: 1, hash: 'a' },
      holds: true,
    });
  });
  await signsIn('ada');
  await writes('ada', 'own');
  await bringIn([{ entry: entry('theirs'), person: 'asa' }]);
  await deliverWaiting();
  expect(await states()).toEqual({ own: 'sent', theirs: 'waiting' });

  await deliverForOthers();
  await deliverWaiting();
  expect(await states()).toEqual({ own: 'sent', theirs: 'sent' });
  expect(calls.filter(({ ids }) => ids.length > 0)).toEqual([
    { ids: ['own'], onBehalf: false },
    { ids: ['theirs'], onBehalf: true },
  ]);
});

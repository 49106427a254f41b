import { beforeEach, expect, test, vi } from 'vitest';
import { deviceName } from './device';
import { newId, typeFromSheet, write } from './entries';
import { store } from './store';

const refusals = new Map<string, { seen: string; act: string }>();

vi.mock('./core', () => ({
  compute: async (_: string, entry: { kind: string }) => ({ refusal: refusals.get(entry.kind) }),
  foldVisit: async () => ({}),
}));
vi.mock('./delivery', () => ({ deliverAfterDrawing: () => {} }));

const sounding = (visit: string) => ({
  visit,
  kind: 'sounding' as const,
  body: { depth: { written: '12', unit: 'm' as const } },
});

beforeEach(async () => {
  vi.stubGlobal('navigator', { userAgent: 'Mozilla/5.0 (X11; Linux x86_64)' });
  refusals.clear();
  await Promise.all([store.entries.clear(), store.settings.clear()]);
});

test('an entry bears who, where and when, and waits on this device', async () => {
  const visit = newId();
  await write(sounding(visit));

  const [kept] = await store.entries.toArray();
  expect(kept).toMatchObject({ visit, state: 'waiting', entry: { kind: 'sounding', version: 1, by: 'unknown' } });
  expect(kept?.entry.id).toBe(kept?.id);
  expect(kept?.entry.at).toMatch(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}[+-]\d\d:\d\d$/);
});

test('of entries that belong together all are kept or none', async () => {
  const visit = newId();
  const id = newId();
  await write({ ...sounding(visit), id });

  // The second has an id that is taken already: the first does not stay either.
  await expect(write(sounding(visit), { ...sounding(visit), id })).rejects.toThrow();
  expect(await store.entries.count()).toBe(1);
});

test('what Core refuses is not kept, and the reason is told', async () => {
  refusals.set('strike', { seen: 'It does not say what it strikes.', act: 'Name the entry.' });
  const visit = newId();

  await expect(write(sounding(visit), { visit, kind: 'strike', body: {} })).rejects.toThrow(
    'It does not say what it strikes. Name the entry.',
  );
  expect(await store.entries.count()).toBe(0);
});

test('a visit typed from a sheet has the time of the sheet, others have their own', async () => {
  const [sheet, other] = [newId(), newId()];
  await typeFromSheet(sheet, '2026-08-11T09:15:00.000+01:00');
  await write(sounding(sheet), sounding(other));

  const at = Object.fromEntries((await store.entries.toArray()).map((kept) => [kept.visit, kept.entry.at]));
  expect(at[sheet]).toBe('2026-08-11T09:15:00.000+01:00');
  expect(at[other]).not.toBe(at[sheet]);
});

test('ids are of version 7 and sort in the order in which they were made', () => {
  const ids = Array.from({ length: 500 }, newId);
  expect(ids.every((id) => /^[0-9a-f]{8}-[0-9a-f]{4}-7/.test(id))).toBe(true);
  expect(new Set(ids.map((id) => id.slice(0, 13))).size).toBeLessThan(ids.length);
  expect(ids.toSorted()).toEqual(ids);
});

test('a device keeps its name', async () => {
  const name = await deviceName();
  expect(name).toMatch(/^computer [0-9a-f]{4}$/);
  expect(await deviceName()).toBe(name);
});

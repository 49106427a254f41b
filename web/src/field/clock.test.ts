import { afterEach, expect, test, vi } from 'vitest';
import { nowLocal, nowMs, setClock } from './clock';

afterEach(() => vi.useRealTimers());

test('the demo stands on its own day, in its own zone', async () => {
  vi.useFakeTimers({ now: new Date('2031-02-03T04:05:06Z'), toFake: ['Date'] });
  await setClock({ demo: true, now: '2026-08-12T10:22:00+01:00' });
  vi.setSystemTime(new Date('2031-02-03T04:06:06Z'));

  expect(nowLocal()).toBe('2026-08-12T10:23:00.000+01:00');
});

test('a real instance leaves the device’s clock alone', async () => {
  await setClock({ demo: false, now: '2020-01-01T00:00:00Z' });

  expect(Math.abs(nowMs() - Date.now())).toBeLessThan(50);
  expect(new Date(nowLocal()).getTime()).toBeCloseTo(Date.now(), -3);
});

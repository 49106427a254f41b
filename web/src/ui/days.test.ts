import { expect, test } from 'vitest';
import { clockTime, daysBetween, longDay, plainDay } from './days';

test('a day is the local day of the reading, whatever the zone of the reader', () => {
  expect(longDay('2026-08-12')).toBe('Wed 12 Aug 2026');
  expect(plainDay('2026-08-12T23:50:00-09:00')).toBe('12 August 2026');
  expect(clockTime('2026-08-12T10:22:00.123+01:00')).toBe('10:22');
});

test('days are counted over months, years and the change of the clocks', () => {
  expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
  expect(daysBetween('2025-12-31', '2026-01-01')).toBe(1);
  expect(daysBetween('2026-08-12T23:59:00+01:00', '2026-08-12T00:01:00+01:00')).toBe(0);
});

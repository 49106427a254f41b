import { expect, test } from 'vitest';
import { readClock } from './clockTimes';

test.each([
  ['9', '09:00'],
  ['930', '09:30'],
  ['0930', '09:30'],
  ['9:30', '09:30'],
  ['15.00', '15:00'],
  ['23:59', '23:59'],
])('%s is %s', (typed, time) => expect(readClock(typed)).toBe(time));

test.each(['', '24', '1260', '3 pm', '12:5', 'noon'])('%s is no time on the 24-hour clock', (typed) =>
  expect(readClock(typed)).toBeUndefined(),
);

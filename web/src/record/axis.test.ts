import { expect, test } from 'vitest';
import { niceTicks } from './axis';

test.each([
  [5.2, [0, 2, 4]],
  [0.9, [0, 0.2, 0.4, 0.6, 0.8]],
  [31, [0, 10, 20, 30]],
  [1200, [0, 250, 500, 750, 1000]],
  [0, [0]],
])('ticks up to %d are round and few', (until, ticks) => {
  expect(niceTicks(until)).toEqual(ticks);
});

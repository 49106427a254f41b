import { expect, test } from 'vitest';
import { logTicks } from './axis';

test.each([
  [
    [3, 880],
    [1, 10, 100, 1000],
  ],
  [
    [10, 90],
    [10, 20, 50, 100],
  ],
  [
    [0.4, 0.7],
    [0.1, 0.2, 0.5, 1],
  ],
])('a logarithmic axis over %j has few round ticks and holds both ends', ([low, high], ticks) => {
  expect(logTicks(low as number, high as number)).toEqual(ticks);
});

import { expect, test } from 'vitest';
import { rowsOf } from './rowsOf';

test('rows are numbers with anything usual between, and a head is left out', () => {
  expect(rowsOf('depth temp\n0 20.1 9\n2;19.5;8.8\n4\t18\t7.5\n\n')).toEqual([
    [0, 20.1, 9],
    [2, 19.5, 8.8],
    [4, 18, 7.5],
  ]);
});

import { expect, test } from 'vitest';
import { rowsOf } from './rowsOf';

test('rows have anything usual between their fields, and a head is no row', () => {
  expect(rowsOf('depth temp\n0 20.1 9\n2;19.5;8.8\n4\t18\t7.5\n6,17,7\n8, 16, 6\n\n', 'a level', 0, 2, 3)).toEqual({
    rows: [
      ['0', '20.1', '9'],
      ['2', '19.5', '8.8'],
      ['4', '18', '7.5'],
      ['6', '17', '7'],
      ['8', '16', '6'],
    ],
    findings: [],
  });
});

test('a line that is no row is left out and named', () => {
  const { rows, findings } = rowsOf('0 20.1\n2 warm\n4', 'a level');
  expect(rows).toEqual([['0', '20.1']]);
  expect(findings.map(({ seen }) => seen)).toEqual(['Line 2, “2 warm”, is not a level.', 'Line 3, “4”, is not a level.']);
});

test('a name may stand before the numbers', () => {
  expect(rowsOf('M2 1.9 310\nS2 high 350', 'a constituent', 1, 3)).toMatchObject({
    rows: [['M2', '1.9', '310']],
    findings: [{ code: 'row-unreadable', seen: 'Line 2, “S2 high 350”, is not a constituent.' }],
  });
});

test('of many lines that are no rows the first are named', () => {
  expect(rowsOf(Array(50).fill('1 x').join('\n'), 'a level').findings).toHaveLength(5);
});

test('a comma inside a number is no border', () => {
  const { rows, findings } = rowsOf('2 20,1\n4 19.5', 'a level', 0, 2, 3);
  expect(rows).toEqual([['4', '19.5']]);
  expect(findings[0]?.seen).toBe('Line 1, “2 20,1”, is not a level.');
  expect(rowsOf('1 2 3', 'an area').rows).toEqual([]);
});

import { expect, test } from 'vitest';
import { compute } from '../field/core';
import { numberOf } from './number';

const WRITTEN = [
  ...[
    '8.6',
    '8,6',
    '-0.4',
    '−0,4',
    '+3',
    '12',
    '0,015',
    '0.015',
    '7.',
    '.5',
    ',5',
    ' 3.4 ',
    '007',
    '8,60',
    '12345.678',
    '12345,67',
  ],
  ...[
    '1,234',
    '-1,234',
    '1,234.5',
    '1.234,5',
    '1e3',
    '1 234',
    '0x10',
    'Infinity',
    'NaN',
    'much',
    '3.4 m',
    '',
    '-',
    '.',
    '3..4',
    '3,4,5',
  ],
  ...['00,123', '0,123', '-0,123', '12,34', '1,2345', '½', '٣'],
];

test('a number means on the page what Core reads in it', async () => {
  for (const written of WRITTEN) {
    const { value } = await compute('number', { written });
    expect([written, numberOf(written)]).toEqual([written, value ?? undefined]);
  }
});

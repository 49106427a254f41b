import { expect, test } from 'vitest';
import type { FieldSheet } from '../api/client';
import { layersOf } from './layers';

const sheet = (bottomM: number, band?: { depthM: number | null; lowerM: number | null }) =>
  ({ bottomM, profile: band ? { figures: [{ key: 'metalimnion', ...band }] } : null }) as unknown as FieldSheet;

test('a layered water is looked at above, in and below its break', () => {
  expect(layersOf(sheet(31, { depthM: 6, lowerM: 9 }))).toEqual({
    'upper layer': { fromM: 0, toM: 6 },
    thermocline: { fromM: 5.5, toM: 9.5 },
    'deep layer': { fromM: 9, toM: 31 },
  });
});

test('a break that reaches the bottom has nothing below it', () => {
  expect(Object.keys(layersOf(sheet(9.4, { depthM: 6, lowerM: 9 })))).toEqual(['upper layer', 'thermocline']);
  expect(layersOf(sheet(9.4, { depthM: 6, lowerM: 9 })).thermocline?.toM).toBe(9.4);
});

test('a break at the surface leaves an upper layer that can be looked at', () => {
  expect(layersOf(sheet(20, { depthM: 0.1, lowerM: 3 }))['upper layer']).toEqual({ fromM: 0, toM: 0.5 });
  expect(layersOf(sheet(20, { depthM: 0.1, lowerM: 3 })).thermocline?.fromM).toBe(0);
});

test('without a break there are halves, and in shallow water nothing to choose', () => {
  expect(Object.keys(layersOf(sheet(12)))).toEqual(['upper half', 'lower half']);
  expect(Object.keys(layersOf(sheet(12, { depthM: null, lowerM: null })))).toEqual(['upper half', 'lower half']);
  expect(layersOf(sheet(4))).toEqual({});
});

import { expect, test } from 'vitest';
import type { LedgerSample } from '../field/ledger';
import { meant, shelfOf } from './places';

const vial = {
  number: 'HAR-1-260701-F1-X',
  water: 'Harrowmere',
  station: 'HAR-1',
  measures: 'chlorophyll',
  container: 'vial, wholly in foil',
  spot: 'Box 1, B4',
  state: 'stored',
  stateText: 'stored',
  in: 'freezer',
  day: '2026-07-01',
} as LedgerSample;

test('what is typed finds a sample by any part of it, in any order', () => {
  expect(meant(vial, '')).toBe(true);
  expect(meant(vial, 'b4 harrow')).toBe(true);
  expect(meant(vial, '2026-07')).toBe(true);
  expect(meant(vial, 'harrow phosphorus')).toBe(false);
});

test('what was taken and not stored is not put away, wherever it stood before', () => {
  expect(shelfOf(vial)).toBe('Freezer');
  expect(shelfOf({ ...vial, state: 'taken' })).toBe('Not put away yet');
});

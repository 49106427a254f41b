import { expect, test } from 'vitest';
import { bodyOf, type Level, type Profile, typedOf, unitOf } from './columns';

const profile = { temperatureUnit: '°F', oxygenUnit: '%', columns: ['temperature', 'oxygen', 'salinity'] } as Profile;
const depth = { written: '3', unit: 'm' } as const;

test('what is typed goes into the log with the units of the table, as it was typed', () => {
  expect(bodyOf({ temperature: '68,4', oxygen: '98' }, depth, profile)).toEqual({
    depth,
    temperature: { written: '68,4', unit: '°F' },
    oxygen: { written: '98', unit: '%' },
  });
});

test('an empty box is no reading, and a level of empty boxes is none at all', () => {
  expect(bodyOf({ temperature: '68', oxygen: ' ', salinity: '' }, depth, profile)).toEqual({
    depth,
    temperature: { written: '68', unit: '°F' },
  });
  expect(bodyOf({ temperature: ' ' }, depth, profile)).toBeNull();
  expect(bodyOf({}, depth, profile)).toBeNull();
});

test('a level that is read again begins with what was written', () => {
  const level = { temperature: '68,4', oxygen: '98', salinity: 31.5, ph: 0 } as Level;
  expect(typedOf(level)).toEqual({ temperature: '68,4', oxygen: '98', salinity: '31.5', ph: '0' });
});

test('each column bears its unit', () => {
  expect(unitOf(profile, 'temperature')).toBe('°F');
  expect(unitOf(profile, 'oxygen')).toBe('%');
  expect(unitOf(profile, 'conductivity')).toBe('µS/cm');
});

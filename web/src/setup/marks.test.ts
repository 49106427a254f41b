import { expect, test } from 'vitest';
import { bearingsOf, draftsOfBearings } from './Bearings';
import { draftsOfTransits, transitsOf } from './Transits';

const chapel = { name: 'chapel', latitude: '51.91', longitude: '-11.44' };
const nothing = { name: '', latitude: '', longitude: '' };

test('lines that are empty are left out, and one that is half filled is never dropped in silence', () => {
  expect(transitsOf([{ near: nothing, far: nothing }])).toEqual([]);
  expect(transitsOf([{ near: chapel, far: nothing }])).toBeUndefined();
  expect(transitsOf([{ near: chapel, far: { ...nothing, name: 'tower' } }])).toHaveLength(1);
  expect(bearingsOf([{ ...nothing, bearing: '' }])).toEqual([]);
  expect(bearingsOf([{ ...chapel, bearing: '' }])).toBeUndefined();
  expect(bearingsOf([{ ...nothing, name: 'chapel', bearing: '20' }])).toBeUndefined();
});

test('what is kept comes back into the form as it was', () => {
  const bearings = [{ mark: { name: 'chapel', latitudeDeg: 51.91, longitudeDeg: -11.44 }, bearingDeg: 20.5 }];
  const transits = [{ near: { name: 'post' }, far: { name: 'tower' } }];

  expect(bearingsOf(draftsOfBearings(bearings))).toEqual(bearings);
  expect(transitsOf(draftsOfTransits(transits))?.map(({ near, far }) => [near.name, far.name])).toEqual([['post', 'tower']]);
});

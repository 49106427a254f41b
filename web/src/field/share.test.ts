import { expect, test } from 'vitest';
import { share } from './share';

test('parts that are as before are the very parts of before', () => {
  const before = { levels: [{ depth: 1 }, { depth: 2 }], text: 'a', none: null };
  const now = share(before, { levels: [{ depth: 1 }, { depth: 2 }, { depth: 3 }], text: 'a', none: null });
  expect(now).toEqual({ levels: [{ depth: 1 }, { depth: 2 }, { depth: 3 }], text: 'a', none: null });
  expect(now.levels[0]).toBe(before.levels[0]);
  expect(now.levels).not.toBe(before.levels);
});

test('a value that is as before as a whole is the one of before', () => {
  const before = { a: [1, { b: 'c' }] };
  expect(share(before, { a: [1, { b: 'c' }] })).toBe(before);
});

test.each([
  [{ a: 1 }, { a: 1, b: undefined }],
  [
    { a: 1, b: undefined },
    { a: 1, c: undefined },
  ],
  [{ a: 1, b: 2 }, { a: 1 }],
  [[1, 2], [1]],
  [{ 0: 'x' }, ['x']],
  [null, { a: 1 }],
  [{ a: 1 }, null],
  [{ a: { b: 1 } }, { a: { b: 2 } }],
])('what differs is the newer: %j, %j', (before, now) => {
  const expected = structuredClone(now);
  const shared = share(before, now);
  expect(shared).toEqual(expected);
  expect(shared).not.toBe(before);
});

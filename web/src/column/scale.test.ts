import { expect, test } from 'vitest';
import { columnScale, spread, withRoom } from './scale';

test('the surface is on top, the bottom below, and deeper is lower', () => {
  for (const bottom of [2.6, 31, 900]) {
    const scale = columnScale(bottom, 34, 700);
    expect(scale.y(0)).toBe(34);
    expect(scale.y(bottom)).toBeCloseTo(700);
    expect(scale.y(bottom / 3)).toBeGreaterThan(scale.y(bottom / 4));
  }
});

test('a shallow water is drawn evenly, a deep one gives the lit layer more room', () => {
  expect(columnScale(4, 0, 100).y(1)).toBeCloseTo(25);
  expect(columnScale(40, 0, 100).y(10)).toBeGreaterThan(35);
});

test('a height on the page gives its depth back, in the whole column and in a layer', () => {
  for (const scale of [columnScale(31, 34, 700), columnScale(4, 34, 700), columnScale(31, 34, 700, { fromM: 5, toM: 9 })]) {
    for (const depth of [5.2, 7, 8.9].filter((d) => scale.y(d) <= 700)) {
      expect(scale.depth(scale.y(depth))).toBeCloseTo(depth);
    }
  }
});

test('a layer fills the page', () => {
  const scale = columnScale(31, 34, 700, { fromM: 5, toM: 9 });
  expect([scale.y(5), scale.y(9)]).toEqual([34, 700]);
});

test('a depth below the bottom stays on the page', () => {
  expect(columnScale(10, 0, 100).y(50)).toBeLessThanOrEqual(103);
});

test('labels are moved apart, stay in order and inside, and only as far as needed', () => {
  const placed = spread(
    ['a', 'b', 'c'].map((key, i) => ({ key, y: 95 + i })),
    20,
    0,
    100,
  );
  expect(placed.map((label) => label.key)).toEqual(['a', 'b', 'c']);
  expect(placed.map((label) => label.at)).toEqual([60, 80, 100]);
  expect(spread([{ key: 'alone', y: 42 }], 20, 0, 100)[0]?.at).toBe(42);
});

test('ticks without room are left out from the surface down', () => {
  const ticks = [0, 1, 2, 3, 10].map((depthM) => ({ depthM }));
  expect(withRoom(ticks, { y: (depth) => depth * 10 }, 18).map((tick) => tick.depthM)).toEqual([0, 2, 10]);
});

import { expect, test } from 'vitest';
import { groupsOf } from './groups';
import type { Step } from './observe';
import type { Description } from './protocols';

const description = {
  steps: [{ code: 'look' }, { code: 'throw', repeat: 'throw' }, { code: 'name', repeat: 'kind' }, { code: 'clean' }],
  repeats: [
    { code: 'throw', label: 'throw', usual: 1, most: 9 },
    { code: 'kind', label: 'kind', usual: 0, most: 9, within: 'throw' },
  ],
} as unknown as Description;

const step = (code: string, item?: string, words?: string) =>
  ({ step: code, item, words, try: 1, state: 'to-do', open: [] }) as unknown as Step;

test('a throw and its kinds are worked together, what is done once stands alone', () => {
  const groups = groupsOf(description, [
    step('look'),
    step('throw', '1', '1 m'),
    step('name', '1+moss', 'moss'),
    step('throw', '2', '2 m'),
    step('clean'),
  ]);
  expect(groups.map(({ words, steps }) => [words, steps.length])).toEqual([
    [undefined, 1],
    ['1 m', 2],
    ['2 m', 1],
    [undefined, 1],
  ]);
});

import { expect, test } from 'vitest';
import type { FieldSheet } from '../api/client';
import { after, onTo } from './steps';

const sheet = (steps: string, due: string[] | null = ['clarity'], composite = '') =>
  ({
    due,
    composite: { text: composite || null },
    steps: steps.split(' ').map((step) => {
      const [name, state = 'to-do'] = step.split(':');
      return { name, state, summary: '' };
    }),
  }) as unknown as FieldSheet;

test('on from a step goes to the next that is not done', () => {
  expect(after(sheet('sounding:done clarity:done profile:next composite leave'), 'clarity')).toBe('profile');
  expect(after(sheet('sounding:done clarity:done profile:done composite:skipped leave'), 'clarity')).toBe('leave');
});

test('a step that was left out or done is passed over', () => {
  expect(after(sheet('sounding surface:skipped clarity:done profile leave'), 'sounding')).toBe('profile');
});

test('the order is that of this visit', () => {
  expect(after(sheet('composite sounding clarity leave'), 'composite')).toBe('sounding');
});

test('in visits of before bottles were asked the composite’s depth still stands to be read', () => {
  expect(after(sheet('sounding:done clarity:done composite:done leave', null, '24 ft'), 'clarity')).toBe('composite');
  expect(after(sheet('sounding:done clarity:done composite:done leave', null), 'clarity')).toBe('leave');
});

test('each way on is named', () => {
  expect(onTo('leave')).toBe('On to leaving');
  expect(onTo('bottles')).toBe('On to the bottles');
});

import { screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { Person } from '../testing/person';

let broken = false;

function Summary() {
  if (broken) {
    throw new Error('no summary of nothing');
  }
  return 'all waters in one page';
}

afterEach(() => {
  vi.doUnmock('../record/SummaryPage');
  vi.restoreAllMocks();
});

test('a page that fails says so, keeps the way back, and can be tried again', async () => {
  broken = true;
  vi.doMock('../record/SummaryPage', () => ({ SummaryPage: Summary }));
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  const person = await Person.opens();
  await person.goesTo('/record/summary');

  await person.isWarned('no summary of nothing');
  expect(screen.getByRole('link', { name: 'To the stations' })).toBeTruthy();
  expect(screen.getByRole('navigation', { name: 'Places' })).toBeTruthy();

  broken = false;
  await person.touches('Try again');
  await person.reads('all waters in one page');
});

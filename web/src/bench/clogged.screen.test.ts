import { screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

test('what clogged is never taken for what went through', async () => {
  const person = await Person.opens();
  await person.starts('Harrowmere, Deep Hole', ['clarity', 'chlorophyll']);
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');
  await person.touches('On to the composite');
  await person.composes('three quarters', ['HAR-1-260812-C1-Q', 'HAR-1-260812-C1R-X']);
  await person.goesTo('/bench');
  await person.user.click(await screen.findByRole('link', { name: 'Filter HAR-1-260812-F1-E' }));
  await person.touches('Swirled: begin');
  // The separator is shown for what it is.
  await person.touches('The tinted or tissue-like one');
  await person.reads('That is the separator.');
  await person.touches('The white one is in');
  await person.touches('Rinsed');

  await person.touches('It clogged…');
  await person.touches('What went through');
  await person.answers('What went through?', '12');
  await person.reads('If it is the rest, 38 mL went through.');
  await person.strikes('Strike Fill 1 12 mL', 'misread');
  await person.readsNoMore('If it is the rest, 38 mL went through.');

  await person.touches('It clogged…');
  await person.touches('What is left');
  await person.answers('What does the syringe still hold?', '51');
  await person.reads('51 mL left of 50 mL.');
  expect(screen.getAllByRole('status').map(({ textContent }) => textContent)).toContain('0mL');
  await person.touches('torn');
  await person.reads('The filter was torn.');
});

import { screen } from '@testing-library/react';
import { test } from 'vitest';
import { Person } from '../testing/person';

test('a protocol that describes itself is gone through step by step on the page that all of them share', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Skarn Sound, Pier head', ['clarity', 'refractometer']);
  await person.answers('How deep is it here?', '6.4');
  await person.goes('Refractometer');

  await person.writes('Reading of distilled water, ppt', '1');
  await person.reads('1 ppt in distilled water.');
  await person.user.click(await screen.findByRole('radio', { name: 'kept, and taken off' }));
  await person.touches('One more');
  await person.touches('That is all');
  await person.user.click(await screen.findByRole('radio', { name: 'no' }));
  await person.touches('Start');
  await person.touches('Stop here');
  await person.reads(/of 30 s\./);
  await person.writes('Salinity, ppt', '21');
  await person.reads('20 ppt, brackish');
  await screen.findByRole('button', { name: /^On to/ });

  // What was misread is struck, and its box asks again.
  await person.touches('Strike Salinity 21 ppt');
  await person.touches('misread');
  await person.touches('Strike it');
  await person.writes('Salinity, ppt', '1.016');
  await person.isWarned('1.016 looks like the gravity scale.');
  await screen.findByRole('heading', { name: 'Another try of reading 1' });
});

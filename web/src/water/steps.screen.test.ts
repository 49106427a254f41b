import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

test('a step that is left out says why, and can be done after all', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  await person.goes('Profile');
  await person.touches('Not done, because…');
  await person.touches('gear left ashore');
  await person.touches('Not done');
  await person.reads('Not done: gear left ashore.');
  await person.touches('do it after all');
  await screen.findByRole('button', { name: 'Not done, because…' });
});

test('steps are taken in another order: what it costs is said, and the programme’s order is one touch away', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile', 'chlorophyll']);
  const order = async (steps: string[]) =>
    waitFor(() => {
      const rows = within(screen.getByRole('region', { name: 'Order of the steps' })).getAllByRole('listitem');
      expect(rows.map(({ textContent }) => steps.find((step) => textContent?.includes(step))).filter(Boolean)).toEqual(steps);
    });
  await person.touches('Change the order');
  await person.touches('Composite earlier');
  await person.reads('Composite before profile; the programme has it the other way round.');
  await order(['Sounding', 'Clarity', 'Composite', 'Profile']);
  await person.touches('The programme’s order');
  await order(['Sounding', 'Clarity', 'Profile', 'Composite']);
  await person.readsNoMore('Composite before profile');
});

test('how a step is done, and why, is one touch away', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  const says = async (step: string, words: string) =>
    waitFor(() => expect(screen.getByRole('dialog', { name: `How it is done: ${step}` }).textContent).toContain(words));
  await person.touches('How, and why');
  await says('Sounding', 'Touching bottom unawares stirs mud into the sample.');
  await person.user.keyboard('{Escape}');
  await person.goes('Clarity');
  await person.touches('How, and why');
  // This programme's method: two observers, told apart again.
  await says('Clarity', 'Then the other reads, without knowing the first number.');
});

test('the pier: a bottle of sea water with bubbles is filled again, and fixed within minutes', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Skarn Sound, Pier head', ['clarity', 'seawater bottle']);
  // The tide may take two metres off the known depth.
  await person.answers('How deep is it here?', '6.4');
  await person.goes('Seawater bottle');
  await person.writes('Number of the bottle', 'W-117');
  await person.picks('Bubbles stayed in it', 'yes');
  await person.isWarned('Bubbles stayed in the bottle.');
  await screen.findByRole('heading', { name: 'Another try of the filling' });
  await person.user.click(await screen.findByRole('button', { name: /^Fill SKA-1-260812-Y1/ }));
  await person.picks(/^Filled:/, 'as asked');
  await person.touches('Filled, capped, into the cooler');
  await person.reads(/To fix the bottle:.* left/);
});

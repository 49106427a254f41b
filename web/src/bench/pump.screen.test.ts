import { screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { store } from '../field/store';
import { Person } from '../testing/person';

const bodies = async (kind: string) =>
  (await store.entries.toArray()).filter(({ entry }) => entry.kind === kind).map(({ entry }) => entry.body);

test('with a pump what is left is taken from what was poured, and its figures are kept with their units', async () => {
  const person = await Person.opens();
  await person.starts('Harrowmere, Deep Hole', ['clarity', 'chlorophyll']);
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');
  await person.touches('On to the composite');
  await person.composes('three quarters', ['HAR-1-260812-C1-Q', 'HAR-1-260812-C1R-X']);
  await person.goesTo('/bench');
  await person.user.click(await screen.findByRole('link', { name: 'Filter HAR-1-260812-F1-E' }));
  await person.picks('Pushed by', 'a pump and funnel');
  await person.touches('Swirled: begin');

  await person.user.type(await screen.findByLabelText('Vacuum of the pump, kPa'), '15');
  await person.user.type(screen.getByLabelText('Pore, nominal, µm'), '0,7');
  await person.touches('Keep these');
  // What is kept is on the device, and is not kept twice.
  expect(await screen.findByRole('button', { name: '✓ kept' })).toHaveProperty('disabled', true);
  expect(await bodies('filter')).toContainEqual(expect.objectContaining({ vacuumKpa: '15', poreUm: 0.7 }));
  await person.touches('The white one is in');
  await person.touches('Rinsed');

  // Nobody knows yet what was poured: that is asked first.
  await person.touches('It clogged…');
  await person.touches('What is left');
  await person.answers('How much was poured in?', '250');
  await person.answers('What is left in the funnel?', '40');
  await person.reads('from 250 to 40 mL, 210 mL through');
  expect(await bodies('filter-fill')).toContainEqual(expect.objectContaining({ startMl: '250', leftMl: '40', clogged: true }));
});

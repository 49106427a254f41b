import { screen, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

test('a throw is two touches, its kinds one each, and the deepest plants are told', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Pell Tarn, East shore', ['plant rake']);
  await person.answers('How deep is it here?', '2.2');
  await person.goes('Plant rake');

  const throwTwo = await screen.findByRole('region', { name: '2 m' });
  await person.user.click(within(throwTwo).getByRole('button', { name: /^Side:/ }));
  await within(throwTwo).findByRole('button', { name: /^Strike Side/ });
  await person.user.type(within(throwTwo).getByRole('textbox', { name: 'Depth of the water here' }), '2.0');
  await person.user.click(
    within(within(throwTwo).getByRole('textbox', { name: 'Depth of the water here' }).closest('form') as HTMLElement).getByRole(
      'button',
      { name: 'Write it down' },
    ),
  );
  await person.user.click(await within(throwTwo).findByRole('radio', { name: 'good' }));
  await person.user.click(await within(throwTwo).findByRole('radio', { name: '2 some: under half the tines' }));
  await within(throwTwo).findByRole('button', { name: /^Strike How full/ });

  await person.user.click(within(throwTwo).getByRole('button', { name: 'stonewort' }));
  await person.user.click(
    within(await within(throwTwo).findByRole('group', { name: /^stonewort: how much/ })).getByText('4 full: tines hidden'),
  );
  await person.reads('Stonewort 4, rake 2.');
  await person.user.click(await within(throwTwo).findByRole('radio', { name: 'live' }));
  await person.reads('Plants at 2.0 m, kept as “> 2.0 m”.');
  expect(within(throwTwo).queryByRole('button', { name: 'stonewort' })).toBeNull();
});

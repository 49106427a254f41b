import { screen, within } from '@testing-library/react';
import { test } from 'vitest';
import { Person } from '../testing/person';

test('two pairs of hands are two people, and broken hands are one touch away', async () => {
  const person = await Person.opens();
  await person.begins('Long Sallow Reservoir, Inlet', ['ultra-clean water']);
  await person.touches('On to the ultra-clean water');
  await person.fills('The laboratory was told on', '2026-07-31');
  const day = await screen.findByLabelText('The laboratory was told on');
  await person.user.click(within(day.closest('form') as HTMLElement).getByRole('button', { name: 'Write it down' }));
  await person.reads('12 days’ notice.');

  for (const part of ['Clean hands: somebody else', 'Dirty hands: somebody else']) {
    await named(person, part, 'Bea Okafor');
  }
  await person.isWarned('Bea Okafor has both parts.');
  await person.user.click((await screen.findAllByText('Hand dirty hands over'))[0] as HTMLElement);
  await named(person, 'Dirty hands: somebody else', 'Tomas Reyl');
  await person.readsNoMore('has both parts');

  await person.touches('Clean hands broken');
  await person.chooses('a glove tore');
  await person.isWarned('Clean hands: a glove tore.');
  await screen.findByRole('heading', { name: 'Another try of the bottle' });
});

async function named({ user }: Person, part: string, name: string) {
  const box = (await screen.findAllByRole('textbox', { name: part }))[0] as HTMLElement;
  await user.type(box, name);
  await user.click(await within(box.closest('form') as HTMLElement).findByRole('button', { name: 'Write it down' }));
  await screen.findAllByText(name);
}

import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { EntryBodies } from '../field/entries';
import { versionOf } from '../field/entries';
import { Person } from '../testing/person';

test('what is touched is kept as its class, what an instrument shows as its number', async () => {
  const person = await Person.opens();
  await person.starts('Harrowmere, North Arm', ['clarity']);
  await person.goes('Arrive');

  await person.picks('Rain in the last 24 h', 'over 25 mm');
  await person.picks('Wind', 'small trees sway');
  await screen.findByText('Wind small trees sway, 8 to 10.7 m/s.');
  await screen.findByText(/Rain over 25 mm in 24 h/);
  expect(screen.queryByText(/40 mm/)).toBeNull();

  // The anemometer is read after all: its number stands, the class does not.
  const measured = screen.getByLabelText('Wind by an anemometer, m/s');
  await person.user.type(measured, '7,4{Enter}');
  await person.readsNoMore('Wind small trees sway, 8 to 10.7 m/s.');
  const chosen = within(screen.getByRole('group', { name: 'Wind' })).queryAllByRole('radio', { checked: true });
  expect(chosen).toHaveLength(0);
  await person.picks('Wind', 'leaves move');
  await waitFor(() => expect(measured).toHaveProperty('value', ''));

  await person.user.type(screen.getByLabelText('Rain of 72 h by a gauge, mm'), 'much');
  await person.isWarned('“much” is no number.');
});

test('each kind of entry is written in the version that the core reads as today’s', async () => {
  const kinds = (await (await fetch('/api/kinds')).json()) as { name: string; version: number }[];

  expect(kinds.length).toBeGreaterThan(30);
  for (const { name, version } of kinds) {
    expect([name, versionOf(name as keyof EntryBodies)]).toEqual([name, version]);
  }
});

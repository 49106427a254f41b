import { screen, waitFor } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

test('who goes on to answer while a level is being written keeps the keyboard, and the level stays written', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['profile']);
  await person.goes('Profile');
  const writes = async (depth: string, temperature: string, oxygen: string) => {
    const box = await screen.findByRole('textbox', { name: `Temperature at ${depth} m, °C` });
    await waitFor(() => expect(document.activeElement).toBe(box));
    await person.user.keyboard(`${temperature}{Enter}${oxygen}{Enter}`);
  };
  await writes('0.3', '21.6', '8.6');
  await screen.findByRole('button', { name: 'Other ways' });
  await writes('1', '20.7', '8.2');

  // Not a moment is waited: the device is still writing.
  await person.user.click(screen.getByRole('button', { name: 'Other ways' }));
  await person.user.click(screen.getByRole('button', { name: 'Keep, because…' }));
  const why = screen.getByRole<HTMLInputElement>('textbox', { name: 'Why does it stand?' });
  await person.user.click(why);
  for (const key of 'no chamber') {
    await person.user.keyboard(key === ' ' ? '[Space]' : key);
    await new Promise((done) => setTimeout(done));
  }
  expect(why.value).toBe('no chamber');
  await person.user.keyboard('{Enter}');

  await screen.findByRole('button', { name: '1 m, read again or strike' });
  await waitFor(() => expect(screen.getByRole('textbox', { name: 'Temperature at 2 m, °C' })).toHaveProperty('value', ''));
  await person.reads('Kept: no chamber');
});

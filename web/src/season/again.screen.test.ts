import { screen } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { Person } from '../testing/person';

test('a page that was shown stands at once when it is opened again, also where the server cannot be asked; for somebody else it does not', async () => {
  const person = await Person.opens();
  await person.goesTo('/season');
  await screen.findByRole('button', { name: 'These dates in your own calendar' });
  await person.goesTo('/');
  await screen.findByRole('heading', { name: 'Pell Tarn, Middle' });

  const real = globalThis.fetch;
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no signal')));
  try {
    await person.goesTo('/season');
    await screen.findByRole('button', { name: 'These dates in your own calendar' });
    await person.isWarned('The server cannot be reached.');

    const { takeSession } = await import('../people/session');
    await takeSession({ token: 'x', demoAccounts: [], firstNeeded: false });
    await person.goesTo('/');
    await person.goesTo('/season');
    await person.isWarned('The server cannot be reached.');
    expect(screen.queryByRole('button', { name: 'These dates in your own calendar' })).toBeNull();
  } finally {
    vi.stubGlobal('fetch', real);
  }
});

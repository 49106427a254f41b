import { screen, waitFor } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { Schemas } from '../api/client';
import { Person } from '../testing/person';

/** The coordinator's programme of the deep hole, with other methods from now on. */
async function chooses(code: string, schools: Record<string, string>): Promise<void> {
  const { api } = await import('../api/client');
  const programmes = (await api.GET('/api/programmes')).data as Schemas['ProgrammeInfo'][];
  const programme = programmes.find((info) => info.programme.code === code)?.programme as Schemas['Programme'];
  const { data } = await api.PUT('/api/programmes/{code}', {
    params: { path: { code }, query: { version: programme.version } },
    body: { programme: { ...programme, schools: { ...programme.schools, ...schools } }, keep: true },
  });
  expect(data?.kept).toBe(true);
}

test('a programme that folds the line and asks in words is asked so on the water', async () => {
  const person = await Person.opens();
  await chooses('monthly-composite', {
    'clarity.midpoint': 'folded',
    'clarity.name': 'secchi',
    'colour.method': 'words-foot',
    'opinion.questions': 'remarks',
  });
  const { refreshNow } = await import('../field/delivery');
  const { store } = await import('../field/store');
  refreshNow();
  await waitFor(async () => {
    const kept = await store.stations.get('HAR-1');
    expect(kept?.record.context.programme.schools?.['clarity.midpoint']).toBe('folded');
  });
  await person.starts('Harrowmere, Deep Hole');
  await person.answers('How deep is it here?', '102');

  // One box in place of two.
  await person.answers('Where is the middle of the fold?', '12 3');
  await person.sees('Secchi depth', '12 ft 3 in');
  expect(screen.queryByRole('textbox', { name: 'Where was it lost?' })).toBeNull();

  await person.picks('The water is', 'murky');
  await person.picks('Its colour', 'brown');
  await person.fills('Your opinion of the water, in your own words', 'a brown soup');
  await person.touches('Write it');
  await waitFor(() => expect(screen.getByRole('button', { name: 'Written' })).toHaveProperty('disabled', true));
  await person.reads('Opinion, remark: a brown soup');
});

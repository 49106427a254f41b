import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

const follows = () => screen.getByRole('region', { name: 'What follows' });

test('a calculation by itself follows what is typed, and says what is no number', async () => {
  const person = await Person.opens('reader');
  await person.goesTo('/workings?of=trophic');
  // 60 − 14.41 × ln 4.7 = 37.7
  await screen.findByRole('button', { name: /^37\.7, oligotrophic/ });
  await person.fills('Clarity, m', '1');
  await screen.findByRole('button', { name: /^60, eutrophic/ });
  await person.fills('Clarity, m', 'deep');
  await person.reads('“deep” is not a number.');
  await person.fills('Clarity, m', '-3');
  await person.reads('Clarity is −3: it runs from 0 to 100 m.');
  expect(follows().textContent).not.toContain('eutrophic');
  await person.fills('Clarity, m', '');
  await screen.findByRole('button', { name: /^48, mesotrophic/ });

  // A blank between two numbers is feet and inches, not two marks: (12 ft 9 + 12 ft 3) / 2.
  await person.goesTo('/workings?of=clarity');
  await person.picks('The line is marked in', 'ft');
  await person.fills(/^One lowering a line/, '12 9; 12 3');
  await person.picks('Reported to', '¼ ft');
  await waitFor(() =>
    expect(within(follows()).getAllByRole('button')[0]?.textContent).toBe('12 ft 6 in, show the working: Clarity'),
  );
});

test('every calculation stands by itself, with its working and its source', async () => {
  const person = await Person.opens('reader');
  await person.goesTo('/workings');
  const places = within(await screen.findByRole('navigation', { name: 'Calculations' })).getAllByRole('link');
  expect(places).toHaveLength(15);
  for (const place of places) {
    await person.user.click(place);
    await screen.findByRole('heading', { level: 1, name: place.textContent ?? '' });
    const worked = await waitFor(() => within(follows()).getAllByRole('button')[0] as HTMLElement);
    await person.user.click(worked);
    await waitFor(() => expect(screen.getByRole('dialog').textContent).toMatch(/\d/));
    await person.user.keyboard('{Escape}');
    expect(follows().textContent, place.textContent ?? '').not.toContain('cannot be worked out');
  }
});

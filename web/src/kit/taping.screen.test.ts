import { screen, waitFor } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

test('a rope is taped: nonsense is refused, a stretch corrects the readings and both numbers stay', async () => {
  const person = await Person.opens();
  await person.goesTo('/setup/kit');
  await waitFor(() => expect(screen.getByRole('region', { name: 'Due now' }).textContent).toContain('M-1 was due 7 Aug 2026'));
  await person.touches('Open R-3');
  await person.touches('Tape it');
  await person.fills('Mark 1, the line says', '40');
  await person.fills('Mark 1, the tape says', '28');
  await person.touches('Show what it gives');
  await person.reads('No line stretches or shrinks so far');
  await person.fills('Mark 1, the tape says', '40 10');
  await person.touches('Show what it gives');
  await person.reads('2.1 % long: it read short');
  await person.touches('Keep it');
  await person.reads('Kept.');
  await person.reads('R-3 reads 2.1 % off.');

  // The next visit reads the marks as they are, and works with what they truly are.
  await person.goesTo('/');
  await person.starts('Harrowmere, Deep Hole');
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');
  await person.sees('Clarity', '12 ft 3 in');
  await person.reads('by the marks 12 ft 0 in');

  // It was the wrong rope: the check is struck, and stays in the history with its reason.
  await person.goesTo('/setup/kit');
  await person.touches('Open R-3');
  await person.strikes('Strike the check of Wed 12 Aug 2026', 'wrong item');
  await person.reads('struck by Ada Fenn: wrong item');
  await person.readsNoMore('R-3 reads 2.1 % off.');
});

test('a line gets new marks, and its stations follow', async () => {
  const person = await Person.opens();
  await person.goesTo('/setup/kit');
  await person.touches('Open R-4');
  await person.touches('New marks in another colour');
  await person.fills('Name of the line with its new marks', 'R-3');
  await person.touches('Give it new marks');
  await person.reads('R-3 is another item.');
  await person.fills('Name of the line with its new marks', 'R-4-red');
  await person.touches('Give it new marks');
  await screen.findByRole('heading', { name: /^R-4-red/ });
  await person.reads('for SAL-1');
  await person.reads('R-4-red has never been taped.');
});

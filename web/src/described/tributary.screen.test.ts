import { screen } from '@testing-library/react';
import { test } from 'vitest';
import { Person } from '../testing/person';

test('a stream is drawn as it is gauged, and nobody is asked for a sounding there', async () => {
  const person = await Person.opens('sampler');
  await person.begins('Harrowmere, Inlet', ['tributary']);
  await person.touches('On to the tributary');
  await person.chooses('above the knee');
  await person.isWarned('Above the knee at any speed.');
  await person.writes('Tape at the left edge of the water, m', '0.2');
  await person.writes('Tape at the right edge, m', '3.0');
  await person.writes('Tape, m', '1.6');
  await person.writes('Depth', '0.36');
  await person.writes('Speed at 0.6 of the depth from the surface, m/s', '0.43');
  await screen.findByRole('figure', { name: /1\.6 m: 0\.36 m deep, 0\.43 m\/s, 100 %$/ });
  await person.reads('1 of 7 verticals.');
  await person.touches(/^0\.217 m³\/s.*working/);
  await person.reads('ISO 748, mid-section method');
});

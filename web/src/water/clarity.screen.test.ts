import { screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

test('the disc on the bottom of the tarn is "greater than", is never doubled, and the composite keeps off the bottom', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Pell Tarn, Middle');
  await person.answers('How deep is it here?', '2.6');
  await person.touches('On the bottom, still in sight');

  await person.sees('Clarity', '> 2.6 m');
  await person.sees('Mark for the composite', '1.6 m');
  expect(screen.queryByText('2 × clarity')).toBeNull();

  await person.picks('The disc was read', 'in the shade');
  await person.picks('Sunglasses', 'off');
  await person.touches('On to leaving');
  await person.touches('End the visit');
  await screen.findByRole('link', { name: 'See it in the record' });
  await person.reads('> 2.6 m');
});

test('two observers read one after the other, and each is asked by name', async () => {
  const person = await Person.opens();
  await person.starts('Harrowmere, North Arm');
  await person.answers('How deep is it here?', '11.9');
  await person.answers(/^Bea Okafor: where can you tell black from white again/, '3.85');
  await person.answers(/^Tomas Reyl: where/, '3.9');

  await person.sees('Clarity', '3.9 m');
  await person.sees('Mean, unrounded', '3.88 m');
});

test('a reader who thinks in metres sees metres, lowers by the marks of a rope in feet, and the entry keeps its feet', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, Deep Hole', ['clarity', 'chlorophyll']);
  await person.answers('How deep is it here?', '102');
  await person.touches('You and this device');
  await person.user.click(await screen.findByRole('radio', { name: 'In metres' }));
  await person.user.keyboard('{Escape}');
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');
  await person.sees('Clarity', '3.66 m');

  await person.touches('On to the composite');
  await person.reads('7.32 m');
  expect(await screen.findByLabelText('Lowered to, feet and inches')).toHaveProperty('value', '24 0');
  const marks = (await person.kept())
    .filter(({ kind }) => kind === 'disc-mark')
    .map(({ body }) => body as { depth: { written: string; unit: string } });
  expect(marks.map(({ depth }) => `${depth.written} ${depth.unit}`)).toEqual(['12 9 ft-in', '11 3 ft-in']);
});

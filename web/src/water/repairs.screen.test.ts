import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';

/** The bar in which the worst open thing stands. */
const bar = (seen: RegExp) => screen.findByRole('alert', { name: seen });

test('marks the wrong way round are swapped with one touch, and both that were written stay', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, Deep Hole', ['clarity']);
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '11 3');
  await person.answers('Where did you see it again?', '12 9');
  await person.user.click(within(await bar(/^Stop:/)).getByRole('button', { name: 'Swap them' }));

  await waitFor(async () => {
    const marks = (await person.kept()).filter(({ kind }) => kind === 'disc-mark');
    expect(
      marks.map(({ body, strikes, why }) => [(body as { depth: { written: string } }).depth.written, !!strikes, why]),
    ).toEqual([
      ['11 3', false, undefined],
      ['12 9', false, undefined],
      ['12 9', true, 'swapped'],
      ['11 3', true, 'swapped'],
    ]);
  });
  await waitFor(() => expect(screen.queryByRole('alert', { name: /^Stop:/ })).toBeNull());
});

test('a sounding in the other unit is read anew with one touch', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity']);
  await person.answers('How deep is it here?', '39');
  await person.touches(/^It was 39/);

  await waitFor(async () => {
    const soundings = (await person.kept()).filter(({ kind }) => kind === 'sounding');
    expect(soundings.map(({ body, why }) => [(body as { depth: { unit: string } }).depth.unit, why])).toEqual([
      ['m', undefined],
      ['ft', 'the other unit'],
    ]);
  });
});

test('the calibration knows what saturated air should read in its own unit alone', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  await person.answers('How deep is it here?', '11.9');
  await person.goes('Profile');
  await person.touches('calibrate');
  const expected = await screen.findByLabelText('It should read');
  expect(expected).toHaveProperty('value', '100');
  await person.picks('In', 'mg/L');
  expect(expected).toHaveProperty('value', '');
  await person.picks('In', '%');
  expect(expected).toHaveProperty('value', '100');

  await person.user.type(screen.getByLabelText('It read'), '98,5');
  await person.user.type(screen.getByLabelText(/^Air pressure, kPa/), '1,013');
  await person.reads('“1,013” is no number.');
  expect(screen.getByRole('button', { name: 'Write it down' })).toHaveProperty('disabled', true);
});

test('whatever the head of the sheet asks stands there from the first', async () => {
  const person = await Person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity']);
  await person.goes('Arrive');
  const wind = screen.getByRole('group', { name: 'Wind' });
  expect(within(wind).getAllByRole('radio')).toHaveLength(7);
  expect(within(screen.getByRole('group', { name: 'Cloud, eighths of the sky' })).getAllByRole('radio')).toHaveLength(9);
  await person.goes('Sounding');
  await person.picks('Sounded by', 'weighted line');
  await person.reads('It stirs the bottom');
});

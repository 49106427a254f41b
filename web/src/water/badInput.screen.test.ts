import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Person } from '../testing/person';
import { between } from '../testing/screens';

const ends = () => screen.getByRole('button', { name: 'End the visit' });

test('what is no mark is answered beside the field; marks the wrong way round are swapped by one touch with both kept', async () => {
  const person = await Person.opens();
  await person.starts('Harrowmere, Deep Hole');
  await person.answers('How deep is it here?', '102');
  for (const [written, words] of [
    ['', 'Nothing is written here.'],
    ['-3', '-3 is above the water.'],
    ['deep', '“deep” is not a length.'],
    ['12 14', '12 ft 14 in is not a length on this line.'],
    ['3,850', '3,850 can be read two ways.'],
  ] as const) {
    await person.answers('Where was it lost?', written);
    await person.isWarned(words);
    expect(screen.getByRole('textbox', { name: 'Where was it lost?' })).toHaveProperty('value', written);
    await person.reads('Written so far (2)');
  }

  await person.answers('Where was it lost?', '11 3');
  await person.answers('Where did you see it again?', '12 9');
  expect(screen.queryByRole('button', { name: 'On to leaving' })).toBeNull();
  await person.touches('Swap them');
  await screen.findByRole('button', { name: 'On to leaving' });
  await person.sees('Clarity', '12 ft 0 in');
  await person.user.click(await screen.findByText('Written so far (6)'));
  await waitFor(() => {
    const struck = [...document.querySelectorAll('s')].map(({ textContent }) => textContent);
    expect(struck).toContainEqual(expect.stringContaining('Disc lost at 11 ft 3 in'));
  });
});

test('a visit cannot end while something is unfilled, or deeper than the water and kept without a reason', async () => {
  const person = await Person.opens();
  await person.starts('Pell Tarn, Middle');
  await person.goes('Leave');
  await person.reads('Still empty: sounding.');
  await person.reads('0 of 1 clarity readings.');
  expect(ends()).toHaveProperty('disabled', true);

  // A decimal comma is read as people mean it.
  await person.goes('Sounding');
  await person.answers('How deep is it here?', '2,55');
  await person.reads('2.55 m, 2.6 m known');
  await person.answers('Where was it lost?', '3.2');
  await person.answers('Where did you see it again?', '3.1');
  await person.isWarned('3.15 m is deeper than the water (2.55 m).');

  await person.goes('Leave');
  expect(ends()).toHaveProperty('disabled', true);
  await person.goes('Clarity');
  await person.user.click(within(await person.isWarned('deeper than the water')).getByRole('button', { name: 'Keep, because…' }));
  await person.touches('seen by both of us');
  await person.touches('Keep it');
  await person.reads('Kept: seen by both of us');

  await person.goes('Leave');
  await person.touches('End the visit');
  await screen.findByRole('link', { name: 'See it in the record' });
});

test('a sheet without its time is held until an estimate stands, and a sum that slipped is shown', async () => {
  const person = await Person.opens();
  await person.goesTo('/start/PEL-1');
  await person.ticks(/paper sheet/);
  await person.touches('Begin');
  await person.isWarned('No time for the readings of this sheet.');
  await person.fills('Time, 24 h', '25:10');
  await person.touches('Begin');
  await person.isWarned('The day or the time of the sheet cannot be read.');
  await person.fills('Time, 24 h', '23:50');
  await person.touches('Begin');
  await person.isWarned('12 Aug 2026, 23:50 lies ahead.');
  await person.fills('Time, 24 h', '9.30');
  await person.ticks(/best estimate/);
  await person.touches('Begin');
  await person.reads('09:30 is an estimate.');

  await person.touches('On to the sounding');
  await person.answers('How deep is it here?', '2.5');
  await person.answers('Where was it lost?', '1.4');
  await person.answers('Where did you see it again?', '1.2');
  await person.fills(/^Mean on the sheet/, '1.9');
  await person.touches('Compare');
  await person.reads('You wrote 1.9 m; the marks give 1.3 m.');
  await person.sees('Clarity', '1.3 m');
});

test('entries that the server refuses stay on the device and say why', async () => {
  const person = await Person.opens();
  // A station that this device knows and the server does not, as after a restore from an older backup.
  between('/api/entries', (body) => body.replaceAll('"station":"PEL-1"', '"station":"NOWHERE"'));
  await person.starts('Pell Tarn, Middle');

  await waitFor(() => expect(screen.getAllByRole('status')[0]?.textContent).toContain('1 on this device only'));
  await person.touches('Entries on this device');
  await person.reads('No station “NOWHERE” is known here.');
  await screen.findByRole('button', { name: 'Send again' });
});

test('a sounding that would be usual in the other unit is mended by one touch, and both stand in the log', async () => {
  const person = await Person.opens();
  await person.starts('Harrowmere, North Arm');
  await person.answers('How deep is it here?', '39');
  await person.reads('39 m is unusual here; 39.0 ft would be usual.');
  await person.touches('It was 39.0 ft');
  await person.readsNoMore('is unusual here');
  const soundings = (await person.kept()).filter(({ kind }) => kind === 'sounding');
  expect(soundings.map(({ body, why }) => [(body as { depth: unknown }).depth, why])).toEqual([
    [{ written: '39', unit: 'm' }, undefined],
    [{ written: '39', unit: 'ft' }, 'the other unit'],
  ]);
});

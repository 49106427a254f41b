import { goTo, Person } from './person';
import { expect, test } from './server';

test('what is no mark is answered beside the field; marks the wrong way round are swapped by one touch with both kept', async ({
  page,
  server,
}) => {
  const person = new Person(page, server.address);
  await person.opens();
  await person.starts('Harrowmere, Deep Hole');
  await person.answers('How deep is it here?', '102');
  const box = person.question('Where was it lost?');
  for (const [written, words] of [
    ['', 'Nothing is written here.'],
    ['-3', '-3 is above the water.'],
    ['deep', '“deep” is not a length.'],
    ['12 14', '12 ft 14 in is not a length on this line.'],
    ['3,850', '3,850 can be read two ways.'],
  ] as const) {
    await box.fill(written);
    await box.press('Enter');

    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
    await expect(box).toHaveValue(written);
    await expect(page.getByText('Written so far (2)')).toBeVisible();
  }

  await person.answers('Where was it lost?', '11 3');
  await person.answers('Where did you see it again?', '12 9');
  await expect(page.getByRole('button', { name: 'On to leaving' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Swap them' }).click();
  await expect(page.getByRole('button', { name: 'On to leaving' })).toBeVisible();
  await expect(person.figure('Clarity')).toContainText('12 ft 0 in');
  await page.getByText('Written so far (6)').click();
  await expect(page.locator('s', { hasText: 'Disc lost at 11 ft 3 in' })).toBeVisible();
});

test('a visit cannot end while something is unfilled, or deeper than the water and kept without a reason', async ({
  page,
  server,
}) => {
  const person = new Person(page, server.address);
  await person.opens();
  await person.starts('Pell Tarn, Middle');
  await person.goes('Leave');
  await expect(page.getByText('Still empty: sounding.')).toBeVisible();
  await expect(page.getByText('0 of 1 clarity readings.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'End the visit' })).toBeDisabled();

  // A decimal comma is read as people mean it.
  await person.goes('Sounding');
  await person.answers('How deep is it here?', '2,55');
  await expect(page.getByText('2.55 m, 2.6 m known')).toBeVisible();
  await person.answers('Where was it lost?', '3.2');
  await person.answers('Where did you see it again?', '3.1');
  await expect(page.getByText('3.15 m is deeper than the water (2.55 m).')).toBeVisible();

  await person.goes('Leave');
  await expect(page.getByRole('button', { name: 'End the visit' })).toBeDisabled();
  await person.goes('Clarity');
  await page
    .getByRole('alert')
    .filter({ hasText: 'deeper than the water' })
    .getByRole('button', { name: 'Keep, because…' })
    .click();
  await page.getByRole('button', { name: 'seen by both of us' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Kept: seen by both of us')).toBeVisible();

  await person.goes('Leave');
  await person.ends();
});

test('a sheet without its time is held until an estimate stands, and a sum that slipped is shown', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/start/PEL-1`);
  await page.getByRole('checkbox', { name: /paper sheet/ }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert')).toContainText('No time for the readings of this sheet.');
  await page.getByLabel('Time, 24 h').fill('25:10');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert')).toContainText('The day or the time of the sheet cannot be read.');
  await page.getByLabel('Time, 24 h').fill('23:50');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert')).toContainText('12 Aug 2026, 23:50 lies ahead.');
  await page.getByLabel('Time, 24 h').fill('9.30');
  await page.getByRole('checkbox', { name: /best estimate/ }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('09:30 is an estimate.')).toBeVisible();

  await page.getByRole('button', { name: 'On to the sounding' }).click();
  await person.answers('How deep is it here?', '2.5');
  await person.answers('Where was it lost?', '1.4');
  await person.answers('Where did you see it again?', '1.2');
  await page.getByLabel(/^Mean on the sheet/).fill('1.9');
  await page.getByRole('button', { name: 'Compare' }).click();
  await expect(page.getByText('You wrote 1.9 m; the marks give 1.3 m.')).toBeVisible();
  await expect(person.figure('Clarity')).toContainText('1.3 m');
});

test('entries that the server refuses stay on the device and say why', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  // A station that this device knows and the server does not, as after a restore from an older backup.
  await page.route('**/api/entries', async (route) => {
    const body = route.request().postDataJSON();
    for (const entry of body.entries) {
      if (entry.kind === 'visit-started') {
        entry.body.station = 'NOWHERE';
      }
    }
    await route.continue({ postData: JSON.stringify(body) });
  });
  await person.starts('Pell Tarn, Middle');

  await expect(page.getByRole('status')).toContainText('1 on this device only');
  await page.getByRole('button', { name: 'Entries on this device' }).click();
  await expect(page.getByText('No station “NOWHERE” is known here.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Send again' })).toBeVisible();
});

import type { Page } from '@playwright/test';
import { clean } from './clean';
import { goTo, Person } from './person';
import { expect, test } from './server';

async function counts(page: Page, spot: string, birds: string): Promise<void> {
  const place = page.getByRole('region', { name: spot });
  await place.getByRole('textbox', { name: 'Birds', exact: true }).fill(birds);
  await place.getByRole('button', { name: 'Write it down' }).click();
  await expect(place.getByRole('textbox', { name: 'Birds', exact: true })).toHaveCount(0);
}

test('a protocol of one’s own: composed from nothing, tried in practice, published, and in the record', async ({
  page,
  server,
}) => {
  test.setTimeout(200_000);
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/setup/programmes`);
  await page.getByRole('button', { name: 'Change Beach bacteria' }).click();
  await page.getByRole('button', { name: 'Compose a protocol' }).click();
  const told = page.getByRole('complementary', { name: 'As a visit will ask it' });
  await expect(told).toContainText('Its name, what it is for is missing.');
  await expect(page.getByRole('button', { name: 'Take it into the programme' })).toBeDisabled();

  await page.getByLabel('Name', { exact: true }).fill('Shore birds');
  await page.getByLabel('What it is for').fill('How many birds rest at three spots. Is it safe?');
  await page.getByText('some steps are done more than once').click();
  await page.getByLabel('One of them is a').fill('spot');
  await page.getByLabel('Their names').fill('Reed point\nOld jetty\nGravel bar');
  await page.getByLabel('What to do').fill('Count what rests between the marks.');
  await page.getByLabel('Why', { exact: true }).fill('The same stretch each time.');
  await page.getByLabel('What it asks').fill('Birds');
  await page.getByLabel('Most', { exact: true }).fill('50');
  await page.getByLabel('Usual to', { exact: true }).fill('60');
  await page.getByText('Cautions, order, place').click();
  await page.getByText('done again for each spot').click();
  await page.getByText('water’s edge').click();
  // What cannot be published is said beside what it is about, and beside the button that waits for it.
  await expect(page.getByRole('region', { name: 'Step 1' })).toContainText('“Birds”: usual …–60, allowed …–50.');
  await expect(told).toContainText('says that something is safe, or fit.');
  await page.getByLabel('What it is for').fill('How many birds rest at three spots.');
  await page.getByLabel('Most', { exact: true }).fill('400');
  await expect(told).toContainText('Wading: cold shock');
  await page.getByRole('button', { name: 'Work out a number' }).click();
  await page.getByLabel('What it is called').fill('shore birds');
  await page.getByLabel('It is', { exact: true }).selectOption('the sum');
  await page.getByLabel('Of', { exact: true }).selectOption('Birds');
  await expect(told.getByRole('button', { name: 'Try it in practice' })).toBeEnabled();
  await clean(page, 'the composer');

  // Practice is the same screens, marked, and nothing of it leaves the device.
  await told.getByRole('button', { name: 'Try it in practice' }).click();
  await expect(page.getByText('△ Practice.')).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  await person.goes('Shore birds');
  await counts(page, 'Reed point', '12');
  await expect(page.getByText('△ Practice.')).toBeVisible();
  await expect(
    page
      .getByText('✓ done')
      .or(page.getByText(/^Shore birds 12/))
      .first(),
  ).toBeVisible();
  await clean(page, 'a visit of practice');
  await expect(page.getByRole('status').first()).toHaveText('all sent');
  await goTo(page, `${server.address}/`);
  await expect(page.getByRole('heading', { name: 'Skarn Sound, Beach' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Practice, Shore birds' })).toHaveCount(0);

  // What was composed stands where it was left.
  await goTo(page, `${server.address}/setup/programmes`);
  await page.getByRole('button', { name: 'Change Beach bacteria' }).click();
  await page.getByRole('button', { name: 'Go on with Shore birds' }).click();
  await expect(page.getByText('Tried on this device')).toBeVisible();
  await page.getByRole('button', { name: 'Forget what was tried' }).click();
  await expect(page.getByText('Tried on this device')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it into the programme' }).click();
  await expect(page.getByText('not published yet')).toBeVisible();
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'File of Shore birds' }).click();
  const saved = await (await file).path();
  await page.getByRole('button', { name: 'Keep the programme' }).click();
  await expect(page.getByText('Version 2 · SKA-2')).toBeVisible();

  // On the water it is a step like any other.
  // Its new version comes to the device a moment later.
  await expect(async () => {
    await goTo(page, `${server.address}/start/SKA-2`);
    await expect(page.getByRole('checkbox', { name: 'shore birds' })).toBeVisible({ timeout: 2_000 });
  }).toPass({ timeout: 60_000 });
  await person.begins(['shore birds']);
  await person.goes('Shore birds');
  for (const [spot, birds] of [
    ['Reed point', '12'],
    ['Old jetty', '0'],
    ['Gravel bar', '31'],
  ] as const) {
    await counts(page, spot, birds);
  }
  await expect(page.getByRole('button', { name: /Shore birds.* 43|^43/ }).first()).toBeVisible();
  await expect(page.getByRole('status').first()).toHaveText('all sent');
  await expect(async () => {
    const { series } = await server.get<{ series: { subject: string; name: string; points: { value: number }[] }[] }>(
      '/api/stations/SKA-2',
    );
    expect(series.find(({ subject }) => subject === 'own-shore-birds-shore-birds')).toMatchObject({
      name: 'shore birds',
      points: [{ value: 43 }],
    });
  }).toPass();

  // Its series has a page like any other; the device has fetched it by then.
  await expect(async () => {
    await goTo(page, `${server.address}/record/SKA-2?of=own-shore-birds-shore-birds`);
    await page.getByText(/^Every reading/).click({ timeout: 2_000 });
    await expect(page.getByRole('row', { name: /43/ })).toBeVisible({ timeout: 2_000 });
  }).toPass({ timeout: 90_000 });
  await clean(page, 'the record of a protocol of one’s own');

  // Another programme takes it from its file; a file that is none is refused in words.
  await goTo(page, `${server.address}/setup/programmes`);
  await page.getByRole('button', { name: 'Change Farm pond' }).click();
  await page
    .getByLabel('A protocol’s file')
    .setInputFiles({ name: 'birds.json', mimeType: 'application/json', buffer: Buffer.from('{') });
  await expect(page.getByRole('alert')).toContainText('birds.json cannot be read');
  await page.getByLabel('A protocol’s file').setInputFiles(saved);
  await expect(page.getByRole('heading', { level: 1, name: 'Shore birds' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it into the programme' })).toBeEnabled();
});

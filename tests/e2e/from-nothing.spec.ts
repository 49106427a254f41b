import { test as base, expect } from '@playwright/test';
import { RealServer } from './server';

const test = base.extend<{ empty: RealServer }>({
  // biome-ignore lint/correctness/noEmptyPattern: the fixture depends on nothing
  empty: async ({}, use) => {
    const server = await RealServer.startEmpty();
    await use(server);
    await server.end();
  },
});

const OUTLINE = JSON.stringify({
  type: 'Polygon',
  coordinates: [
    [
      [-21.3, 51.9],
      [-21.28, 51.9],
      [-21.28, 51.915],
      [-21.3, 51.915],
      [-21.3, 51.9],
    ],
  ],
});

test('a coordinator goes from an empty instance to a packed outing', async ({ page, empty }) => {
  test.setTimeout(150_000);
  await page.goto(empty.address);
  await expect(page.getByText('Nobody is in this group yet.')).toBeVisible();

  await page.goto(empty.firstLink);
  await page.getByLabel('Your name').fill('Ada Fenn');
  await page.getByLabel('Sign-in name').fill('ada');
  await page.getByLabel('Password').fill('four plain words here');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Waters and stations' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Have a code of your phone asked for, too' })).toBeVisible();

  await page.getByRole('link', { name: 'Programmes' }).click();
  await page.getByRole('button', { name: 'Choose the first programme' }).click();
  await page.getByRole('button', { name: 'Look and take Coastal pier' }).click();
  await page.getByRole('button', { name: 'Keep the programme' }).click();
  await expect(page.getByText('no station follows it yet')).toBeVisible();

  await page.getByRole('link', { name: 'Kit', exact: true }).click();
  await page.getByRole('button', { name: 'Add an item' }).click();
  await page.getByLabel('Code on its tag').fill('R-1');
  await page.getByLabel('Name', { exact: true }).fill('Rope in metres');
  await page.getByLabel('Line that can be let out').fill('30');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText('R-1 has never been taped.')).toBeVisible();

  await page.getByRole('link', { name: 'Waters and stations' }).click();
  await page.getByRole('button', { name: 'Set up the first water' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Ember Mere');
  await page.getByLabel('Time zone').fill('Nowhere/Town');
  await page
    .getByLabel('Outline and depth contours')
    .setInputFiles({ name: 'ember.geojson', mimeType: 'application/geo+json', buffer: Buffer.from(OUTLINE) });
  await expect(page.getByRole('img', { name: /Sketch map of Ember Mere/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep, then its stations' }).click();
  await expect(page.getByText('The water has no district.')).toBeVisible();
  await expect(page.getByText('“Nowhere/Town” is not a time zone.')).toBeVisible();
  await page.getByLabel('District or county').fill('Aldwick');
  await page.getByLabel('Time zone').fill('Europe/London');
  await page.getByRole('button', { name: 'Keep, then its stations' }).click();

  await page.getByRole('button', { name: 'Add a station' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Deep Hole');
  await page.getByLabel('Known depth').fill('14.2');
  await page.getByLabel('Line', { exact: true }).selectOption('R-1');
  await page.getByLabel('Latitude', { exact: true }).fill('-21.29');
  await page.getByLabel('Longitude', { exact: true }).fill('51.907');
  await page.getByRole('button', { name: 'Keep the station' }).click();
  await expect(page.getByText('-21.29, 51.907 lies outside Ember Mere; 51.907, -21.29 lies inside.')).toBeVisible();
  await page.getByRole('button', { name: 'Take 51.907, -21.29' }).click();
  // A line of landmarks that is half filled is asked for, not dropped.
  await page.getByText('Landmarks in line').click();
  await page.getByRole('textbox', { name: 'Near mark', exact: true }).first().fill('boathouse');
  await page.getByRole('button', { name: 'Keep the station' }).click();
  await expect(page.getByRole('alert')).toContainText('A line of landmarks needs its near mark and its far mark.');
  await page.getByRole('textbox', { name: 'Far mark', exact: true }).first().fill('chapel tower');
  await page.getByRole('button', { name: 'Keep the station' }).click();
  await expect(page.getByRole('heading', { name: 'EMB-1 Deep Hole' })).toBeVisible();

  await page.goto(`${empty.address}/season`);
  await expect(page.getByText('Ember Mere').first()).toBeVisible();
  await page
    .getByRole('link', { name: /^Prepare this outing/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Ember Mere: Deep Hole' })).toBeVisible();
  await expect(page.getByText('R-1 has never been taped.')).toBeVisible();
  await page.getByRole('link', { name: /^Labels/ }).click();
  await expect(page.getByText('carbonate chemistry')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the outing' }).click();
  await page.getByRole('button', { name: 'Pack for offline' }).click();
  await expect(page.getByText('Packed on this device')).toBeVisible();
  await expect(page.getByText(/1 station · Coastal pier version 1 · R-1, never taped/)).toBeVisible();
  await page.goto(empty.address);
  await expect(page.getByRole('heading', { name: 'Ember Mere, Deep Hole' })).toBeVisible();
  await page.getByRole('link', { name: 'Start a visit' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'On to the sounding' }).click();
  await expect(page.getByRole('textbox', { name: 'How deep is it here?' })).toBeVisible();
});

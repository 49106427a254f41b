import { Person } from './person';
import { expect, test } from './server';

const OUTING = '/prepare/2026-08-12/harrowmere';

test.describe('with no signal', () => {
  test.use({ serviceWorkers: 'allow' });

  test('what was packed stays packed with the network cut and the server stopped', { tag: '@boat' }, async ({
    page,
    context,
    server,
  }) => {
    const person = new Person(page, server.address);
    await person.opens('sampler');
    await person.waitsForOffline();
    await page.goto(`${server.address}/season`);
    await page.getByRole('link', { name: /^Prepare this outing.*Harrowmere/ }).click();
    await expect(page.getByText('Nothing in the forecast speaks against it. The skipper decides.')).toBeVisible();
    await expect(page.getByText('simulated: the weather')).toBeVisible();
    // It is ticked once that is written on the device.
    await page.getByRole('checkbox', { name: 'bailer' }).click();
    await expect(page.getByRole('checkbox', { name: 'bailer' })).toBeChecked();
    await page.getByRole('button', { name: 'Pack for offline' }).click();
    await expect(page.getByText('Packed on this device')).toBeVisible();
    await expect(page.getByText(/2 stations · .*R-3, taped 11 April 2026.* earlier readings to compare with/)).toBeVisible();

    await server.kill();
    await context.setOffline(true);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Harrowmere: Deep Hole, then North Arm' })).toBeVisible();
    await expect(page.getByText('Packed on this device')).toBeVisible();
    await expect(page.getByRole('checkbox', { name: 'bailer' })).toBeChecked();
    await page.getByRole('checkbox', { name: 'pencils' }).click();
    await expect(page.getByText(/^2 of \d+ aboard$/)).toBeVisible();
    await expect(page.getByText(/^Without .*Meter for oxygen.*: no profile\.$/)).toBeVisible();
    await expect(page.getByText(/^Not confirmed: flotation, worn; anchor with spare line; someone ashore told/)).toBeVisible();
    await page.getByRole('link', { name: 'Start at Deep Hole' }).click();
    // What the outing asks for is ticked.
    await expect(page.getByRole('checkbox', { name: 'chlorophyll' })).toBeChecked();
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('button', { name: 'On to the sounding' }).click();
    await expect(person.question('How deep is it here?')).toBeVisible();

    // Another outing was not packed, and it says so.
    await page.goto(`${server.address}/prepare/2026-08-12/skarn-sound`);
    await expect(page.getByRole('heading', { name: 'This outing is not on this device' })).toBeVisible();
  });
});

test('a pier in the tide: low water, no anchor, what is simulated is marked', { tag: '@boat' }, async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await page.goto(`${server.address}/prepare`);
  await page
    .getByRole('link', { name: /^Prepare Skarn Sound/ })
    .first()
    .click();
  await expect(page.getByText(/low water \d\d:\d\d/)).toBeVisible();
  await expect(page.getByText('simulated: the weather, the tide')).toBeVisible();
  await expect(page.getByText('anchor with spare line')).toHaveCount(0);
  await expect(page.getByText('The fixative is poison', { exact: false }).first()).toBeVisible();
});

test('an outing of a reader’s water cannot be prepared by the reader', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('reader');
  await page.goto(`${server.address}${OUTING}`);
  await expect(page.getByText('No water “harrowmere” is known here.')).toBeVisible();
  await page.goto(`${server.address}/season`);
  await expect(page.getByRole('link', { name: /^Prepare/ })).toHaveCount(0);
});

import { Person } from './person';
import { expect, test } from './server';

test('two devices on one visit, one without a signal: nothing is lost and what disagrees is shown', async ({
  page,
  browser,
  server,
}) => {
  // Two devices, each with its own start.
  test.slow();
  const first = new Person(page, server.address);
  await first.opens('sampler');
  await first.starts('Harrowmere, North Arm', ['clarity']);
  await expect(page.getByRole('status').first()).toHaveText('all sent', { timeout: 20_000 });

  const other = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });
  const second = new Person(await other.newPage(), server.address);
  await second.opens('coordinator');
  await second.page.goto(`${server.address}/visit/${first.visit()}?step=sounding`);
  await expect(second.question('How deep is it here?')).toBeVisible();
  await other.setOffline(true);
  await second.answers('How deep is it here?', '11.0');
  await expect(second.page.getByText('11.0 m', { exact: true }).first()).toBeVisible();
  await first.answers('How deep is it here?', '11.9');
  await expect(page.getByText('11.9 m', { exact: true }).first()).toBeVisible();
  await expect(page.getByRole('status').first()).toHaveText('all sent', { timeout: 20_000 });
  await other.setOffline(false);
  await expect(second.page.getByRole('status').first()).toHaveText('all sent', { timeout: 30_000 });

  for (const one of [first, second]) {
    await one.page.reload();
    await one.goes('Sounding');
    const finding = one.page.getByRole('region', { name: /^Check: 11\.\d m on computer .*, 11\.\d m on computer/ });
    await expect(finding).toContainText('Nothing was dropped');
  }
  // A person decides, and it is decided everywhere.
  await page.getByRole('button', { name: 'Choose one' }).click();
  await page.getByRole('button', { name: /^Strike Sounding 11\.0 m/ }).click();
  await expect(page.getByRole('region', { name: /^Check: 11\.\d m on computer/ })).toHaveCount(0);
  await expect(page.getByRole('status').first()).toHaveText('all sent', { timeout: 20_000 });
  await expect(async () => {
    await second.page.reload();
    await expect(second.page.getByText('11.9 m', { exact: true }).first()).toBeVisible({ timeout: 5_000 });
  }).toPass();
  await other.close();
});

test('two tabs of one device show the same visit', async ({ page, context, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity']);
  const tab = await context.newPage();
  await tab.goto(`${server.address}/visit/${person.visit()}?step=sounding`);
  await expect(tab.getByRole('textbox', { name: 'How deep is it here?' })).toBeVisible();

  await person.answers('How deep is it here?', '11.9');
  await expect(tab.getByText('11.9 m', { exact: true }).first()).toBeVisible();
});

test('a device that is full says so where the number was typed, and the number stays', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity']);
  await page.evaluate(() => {
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    };
  });
  await person.answers('How deep is it here?', '11.9');

  await expect(page.getByRole('alert')).toContainText('no room left');
  await expect(person.question('How deep is it here?')).toHaveValue('11.9');
});

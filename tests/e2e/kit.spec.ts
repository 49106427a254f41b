import { goTo, Person } from './person';
import { expect, test } from './server';

test('a sampler proposes a station from a scouting track, and a coordinator approves it', async ({ page, server, browser }) => {
  const sampler = new Person(page, server.address);
  await sampler.opens('sampler');
  await goTo(page, `${server.address}/setup/waters/pell-tarn`);
  await page.getByRole('button', { name: 'Propose a station' }).click();
  await page.getByLabel('Soundings, typed').fill('51.8866 -11.4104 1.2\n51.8868 -11.4104 1.9\n51.8870 -11.4104 1.6');
  await page.getByRole('button', { name: 'Find the deepest place' }).click();
  await page.getByRole('button', { name: 'Take this place and depth' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Inlet');
  await page.getByRole('button', { name: 'Propose it' }).click();
  await expect(page.getByText('It does not say why there.')).toBeVisible();
  await page.getByLabel('Why there').fill('deepest of our track');
  await page.getByRole('button', { name: 'Propose it' }).click();
  await expect(page.getByText('“deepest of our track”')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look and approve' })).toHaveCount(0);

  const own = await browser.newContext({ serviceWorkers: 'block' });
  const office = new Person(await own.newPage(), server.address);
  await office.opens();
  await goTo(office.page, `${server.address}/setup/waters/pell-tarn`);
  await office.page.getByRole('button', { name: 'Look and approve' }).click();
  await office.page.getByRole('button', { name: 'Approve the station' }).click();
  await expect(office.page.getByRole('heading', { name: 'PEL-4 Inlet' })).toBeVisible();
  await expect(office.page.getByText('“deepest of our track”')).toHaveCount(0);
  await own.close();
});

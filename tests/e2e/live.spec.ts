import { Person } from './person';
import { expect, test } from './server';

interface Sent {
  kind: string;
  body: {
    settled?: boolean;
    from?: string;
    source?: string;
    by?: string;
    oxygen?: { written: string; unit: string };
    salinity?: string;
  };
}

test.describe('with no signal', () => {
  test.use({ serviceWorkers: 'allow' });

  test('position, depth and profile come from the simulated instruments of the device itself', { tag: '@boat' }, async ({
    page,
    server,
  }) => {
    test.slow();
    const person = new Person(page, server.address);
    await person.castsOff(server, 'Harrowmere, North Arm', ['clarity', 'profile']);

    await page.getByRole('button', { name: 'from the boat’s receiver' }).click();
    await expect(page.getByRole('region', { name: 'Receiver and sounder' })).toContainText('simulated');
    await page.getByRole('button', { name: 'Write this fix down' }).click();
    await expect(page.getByText(/ m from the mark, it lies/)).toBeVisible();

    await page.getByRole('button', { name: 'On to the sounding' }).click();
    await page.getByRole('button', { name: 'From the boat’s sounder' }).click();
    await page.getByRole('button', { name: 'Write this depth down' }).click();

    await person.goes('Profile');
    await page.getByRole('button', { name: 'Live from the sonde' }).click();
    const live = page.getByRole('region', { name: 'Live from the sonde' });
    await page.getByText('its display, its cable, its time').click();
    await person.picks('Its time runs', '20 times');
    const levels = page.getByRole('table', { name: 'Levels of the profile' });
    for (let rows = 1; rows <= 3; rows++) {
      await live.getByRole('button', { name: /^Lower it to/ }).click();
      await expect(levels.getByRole('button', { name: /, read again or strike$/ })).toHaveCount(rows, { timeout: 30_000 });
    }

    // Its cable is pulled out: what was read stays, and the page says what to do.
    await person.picks('Its cable', 'pulled');
    await expect(live.getByRole('alert')).toContainText('Look at the cable', { timeout: 20_000 });
    await page.getByRole('button', { name: 'type instead' }).click();
    const visit = person.visit();

    await person.comesBack(server);
    const sent = await server.get<Sent[]>(`/api/visits/${visit}/entries`);
    expect(sent.find(({ kind }) => kind === 'fix')?.body.source).toBe('simulated');
    expect(sent.find(({ kind }) => kind === 'sounding')?.body.by).toBe('simulated');
    expect(sent.filter(({ kind }) => kind === 'level').map(({ body }) => [body.from, body.settled])).toEqual([
      ['simulated', true],
      ['simulated', true],
      ['simulated', true],
    ]);
  });
});

test('a sonde on the network whose display was left on per cent is caught at the first level', async ({ page, server }) => {
  test.slow();
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  await person.answers('How deep is it here?', '12.0');
  await person.goes('Profile');
  await page.getByRole('button', { name: 'Live from the sonde' }).click();
  await page.getByText('its display, its cable, its time').click();
  await person.picks('Its display', '%');
  await person.picks('Its time runs', '20 times');
  await expect(page.getByText(/\d+(\.\d+)? mg\/L would be \d+ %: hardly possible/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Other ways' }).click();
  await page.getByRole('button', { name: 'The whole column' }).click();
  await expect(page.getByText(/hardly possible/)).toHaveCount(0);
});

test('the pier in the tide: a sounding, a live profile with salinity down to the bottom, and clarity', { tag: '@boat' }, async ({
  page,
  server,
}) => {
  test.slow();
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Skarn Sound, Pier head', ['clarity', 'profile']);
  await page.getByRole('button', { name: 'From the boat’s sounder' }).click();
  await page.getByRole('button', { name: 'Write this depth down' }).click();
  await person.goes('Clarity');
  await person.answers('Where was it lost?', '4.4');
  await expect(person.figure('Clarity')).toContainText('4.4 m');
  await person.goes('Profile');
  await page.getByRole('button', { name: 'Live from the sonde' }).click();
  await page.getByText('its display, its cable, its time').click();
  await person.picks('Its time runs', '20 times');
  const lower = page.getByRole('button', { name: /^Lower it to/ });
  const levels = page.getByRole('button', { name: /, read again or strike$/ });
  for (let rows = 1; (await lower.count()) > 0; rows++) {
    await lower.click();
    await expect(levels).toHaveCount(rows, { timeout: 30_000 });
  }
  await page.getByRole('button', { name: 'type instead' }).click();
  // Salt water: salinity has its column, and holds less oxygen than fresh water would.
  const table = page.getByRole('table', { name: 'Levels of the profile' });
  await expect(table.getByRole('columnheader', { name: /sal/ })).toBeVisible();
  await page
    .getByRole('button', { name: /show the working: oxygen at/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toContainText(/salinity 3\d/);
  await page.keyboard.press('Escape');
  const visit = person.visit();
  await expect(page.getByRole('status').first()).toHaveText('all sent', { timeout: 20_000 });
  await expect(async () => {
    const read = (await server.get<Sent[]>(`/api/visits/${visit}/entries`)).filter(({ kind }) => kind === 'level');
    expect(read.length).toBeGreaterThan(4);
    expect(read.every(({ body }) => Number(body.salinity) > 30)).toBe(true);
  }).toPass();
});

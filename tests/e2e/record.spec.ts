import { goTo, Person } from './person';
import { expect, RealServer, test } from './server';

test('is it changing, how sure are we, what would we need: and down from there to the rope', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/record`);
  await expect(page.getByRole('heading', { name: 'Is our water changing?' })).toBeVisible();
  for (const water of ['Harrowmere', 'Long Sallow Reservoir', 'Pell Tarn', 'Skarn Sound']) {
    const answers = page.getByRole('region', { name: water });
    await expect(answers.getByRole('listitem').first()).toContainText(/p [=<]|a trend needs 8/);
    await expect(answers.getByRole('listitem').first()).toContainText(/with this scatter/i);
  }

  await page.getByRole('link', { name: /^The water is getting murkier/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^The water is getting murkier/ })).toBeVisible();
  await page.getByRole('button', { name: /Show the working/ }).click();
  await expect(page.getByRole('dialog')).toContainText('S = rising less falling pairs');
  await expect(page.getByRole('dialog')).toContainText('Kendall 1975');
  await page.keyboard.press('Escape');
  await page.getByText(/^Every reading/).click();
  await page
    .getByRole('row', { name: /8 July 2025|signed off/ })
    .first()
    .getByRole('link')
    .click();
  await expect(page.getByRole('heading', { name: /^Clear to/ })).toBeVisible();
  await page
    .getByText(/^Written so far/)
    .filter({ visible: true })
    .click();
  await expect(
    page
      .getByText(/Disc lost at/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  await expect(page.getByText('Asa Lindqvist, field book').filter({ visible: true }).first()).toBeVisible();
});

test('a finding is accepted, the visit signed off, and only then it counts', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/review`);
  await page.getByRole('link', { name: /^Look at Middle, Wed 22 Jul 2026/ }).click();
  await expect(page.getByText(/^1\.4 m; here in July/)).toBeVisible();
  const sign = page.getByRole('button', { name: 'Sign it off' });
  await expect(sign).toBeDisabled();
  await page.getByRole('button', { name: 'Keep, because…' }).click();
  await page.getByRole('button', { name: 'read twice, it is so' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('✓ No finding is open.')).toBeVisible();
  await sign.click();
  await expect(page.getByText(/^Read by .*Signed off by Ada Fenn/)).toBeVisible();
  await expect(async () => {
    const { context } = await server.get<{ context: { history: { date: string; signedOff: boolean }[] } }>('/api/stations/PEL-1');
    expect(context.history.find(({ date }) => date === '2026-07-22')?.signedOff).toBe(true);
    expect(context.history.find(({ date }) => date === '2026-08-05')?.signedOff).toBe(false);
  }).toPass();
});

test('a reviewer asks, and the visit waits for the answer', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/review`);
  await page.getByRole('link', { name: /^Look at Middle, Wed 22 Jul 2026/ }).click();
  await page.getByRole('button', { name: 'Ask the sampler…' }).click();
  await page.getByRole('button', { name: 'Was it read twice?' }).click();
  await page.getByRole('button', { name: 'Ask', exact: true }).click();
  await expect(page.getByText(/1 question is not answered/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Write down the answer…' }).click();
  await page.getByRole('button', { name: 'yes', exact: true }).click();
  await page.getByRole('button', { name: 'Answer', exact: true }).click();
  await expect(page.getByText(/question is not answered/)).toHaveCount(0);
});

test('a visit begun at the wrong station is moved, and counts there', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/review`);
  await page.getByRole('link', { name: /^Look at Middle, Wed 22 Jul 2026/ }).click();
  await page.getByRole('button', { name: 'Made at another station…' }).click();
  await page.getByLabel('Where it was made').selectOption({ label: 'Harrowmere, North Arm (HAR-2)' });
  await page.getByRole('button', { name: 'the position says so' }).click();
  await page.getByRole('button', { name: 'Move it', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Harrowmere, North Arm, 22 July 2026/ })).toBeVisible();
  await expect(page.getByText('Begun at PEL-1, moved to HAR-2 by Ada Fenn (the position says so).')).toBeVisible();
  await expect(async () => {
    const days = async (station: string) =>
      (await server.get<{ context: { history: { date: string }[] } }>(`/api/stations/${station}`)).context.history.map(
        ({ date }) => date,
      );
    expect(await days('PEL-1')).not.toContain('2026-07-22');
    expect(await days('HAR-2')).toContain('2026-07-22');
  }).toPass();
});

test('stations stand side by side, and the year of all waters in one page', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/record`);
  await page.getByRole('link', { name: 'Stations side by side' }).click();
  const deep = page.getByRole('listitem').filter({ hasText: 'Deep Hole' });
  await expect(deep).toContainText('The water is getting murkier');
  await expect(deep).toContainText(/is the median of \d+ earlier years; \d+ of them lay below this one/);
  await page.getByLabel('What of them').selectOption('bottom-oxygen');
  await expect(page.getByRole('listitem').filter({ hasText: 'North Arm' })).toContainText('mg/L');

  await goTo(page, `${server.address}/record/summary`);
  await expect(page.getByRole('heading', { name: 'All waters, 2026' })).toBeVisible();
  await expect(page.getByText(/^\d+ people made \d+ visits to 10 of 12 stations of 4 waters in 2026\.$/)).toBeVisible();
  await expect(page.getByText(/visits wait for sign-off and count in no trend yet/)).toBeVisible();
  await page.getByLabel('Year').selectOption('2025');
  await expect(page.getByRole('heading', { name: 'All waters, 2025' })).toBeVisible();
  await expect(page.getByRole('row', { name: /Harrowmere, Deep Hole/ })).toContainText('13 ft 2 in');
});

test('the record goes out as a package and becomes the same record elsewhere', async ({ page, server }) => {
  test.setTimeout(120_000);
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/setup/data`);
  const [saved] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save Everything' }).click()]);
  const file = await saved.path();
  const empty = await RealServer.startEmpty();
  try {
    await page.goto(empty.firstLink);
    await page.getByLabel('Your name').fill('Ada Fenn');
    await page.getByLabel('Sign-in name').fill('ada');
    await page.getByLabel('Password').fill('four plain words here');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'Waters and stations' })).toBeVisible();
    await page.getByRole('link', { name: 'Data', exact: true }).click();
    await page.getByLabel('The package').setInputFiles(file);
    await expect(page.getByText(/^✓ 12 stations, 843 visits/)).toBeVisible({ timeout: 60_000 });
    await page.goto(`${empty.address}/record`);
    await expect(page.getByRole('link', { name: /^The water is getting murkier/ })).toBeVisible();
  } finally {
    await empty.end();
  }
});

import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { Person } from './person';
import { expect, test } from './server';

async function clean(page: Page, what: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(
    violations.map(
      (violation) => `${what}: ${violation.id} at ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`,
    ),
  ).toEqual([]);
  // Nothing is hidden beyond the right edge.
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth),
    `${what} is wider than the screen`,
  ).toBe(true);
}

for (const theme of ['paper', 'glare']) {
  test(`no screen has a fault for those who see or point otherwise, ${theme}`, async ({ page, server }) => {
    // Two dozen screens, each looked at whole.
    test.setTimeout(300_000);
    await page.addInitScript((chosen) => localStorage.setItem('appearance', JSON.stringify({ theme: chosen })), theme);
    const person = new Person(page, server.address);
    await page.goto(server.address);
    await expect(page.getByRole('heading', { name: 'Who is at the water?' })).toBeVisible();
    await clean(page, 'sign-in');
    await person.opens();
    await clean(page, 'stations');
    await page.getByRole('button', { name: 'You and this device' }).click();
    await clean(page, 'preferences');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Entries on this device' }).click();
    await clean(page, 'on this device');
    await page.keyboard.press('Escape');
    await page.goto(`${server.address}/start/HAR-1`);
    await expect(page.getByRole('button', { name: 'Begin, sound first' })).toBeVisible();
    await clean(page, 'start');
    await page.getByRole('button', { name: 'Begin, sound first' }).click();
    await expect(person.question('How deep is it here?')).toBeVisible();
    await clean(page, 'sounding asked');
    await person.answers('How deep is it here?', '80');
    await expect(person.question('Where was it lost?')).toBeVisible();
    await clean(page, 'clarity asked');
    await page.getByRole('button', { name: /Leave/ }).click();
    await expect(page.getByRole('button', { name: 'End the visit' })).toBeVisible();
    await clean(page, 'leaving, unfilled');
    await page.getByRole('button', { name: /Composite/ }).click();
    await clean(page, 'composite, waiting');
    await page.getByRole('button', { name: /Sounding/ }).click();
    await expect(page.getByText('80 ft here')).toBeVisible();
    await clean(page, 'sounding that differs');
    await page
      .getByRole('button', { name: /^(?!.*Strike).*Clarity/ })
      .first()
      .click();
    await person.answers('Where was it lost?', '11 3');
    await person.answers('Where did you see it again?', '12 9');
    await expect(page.getByRole('button', { name: 'Swap them' })).toBeVisible();
    await clean(page, 'a stop');
    await page.getByRole('button', { name: 'Keep, because…' }).click();
    await clean(page, 'a reason');
    await page.getByRole('button', { name: 'Leave as it is' }).click();
    await page.getByRole('button', { name: 'Swap them' }).click();
    await page.getByRole('button', { name: 'show the working: Clarity' }).first().click();
    await clean(page, 'a working');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'On to the composite' }).click();
    await clean(page, 'composite');
    await page.getByRole('button', { name: 'On to leaving' }).click();
    await person.ends();
    await clean(page, 'ended');
    await page.getByRole('link', { name: 'See it in the record' }).click();
    await expect(page.getByRole('heading', { name: 'By year' })).toBeVisible();
    await clean(page, 'record');
    await page.goto(`${server.address}/visit/01990000-0000-7000-8000-000000000000`);
    await expect(page.getByText('This visit is not on this device')).toBeVisible();
    await clean(page, 'a visit that is not here');
    await page.goto(`${server.address}/season`);
    await expect(page.getByRole('heading', { name: /^Harrowmere: .*North Arm/ })).toBeVisible();
    await clean(page, 'season');
    await page.goto(`${server.address}/setup/waters`);
    await expect(page.getByRole('link', { name: 'Pell Tarn' })).toBeVisible();
    await clean(page, 'waters');
    await page.goto(`${server.address}/setup/waters/harrowmere`);
    await page.getByRole('button', { name: 'Change HAR-1' }).click();
    await expect(page.getByRole('heading', { name: 'Station HAR-1' })).toBeVisible();
    await clean(page, 'station');
    await page.goto(`${server.address}/setup/programmes`);
    await page.getByRole('button', { name: 'Change Monthly composite' }).click();
    await expect(page.getByRole('heading', { name: 'Monthly composite' })).toBeVisible();
    await clean(page, 'programme');
    await page.goto(`${server.address}/setup/laboratory`);
    await expect(page.getByText('everybody')).toBeVisible();
    await clean(page, 'laboratory');
    await page.goto(`${server.address}/setup/people`);
    await page.getByRole('button', { name: 'Change Mina Quell' }).click();
    await clean(page, 'people');
    await page.goto(`${server.address}/nowhere`);
    await expect(page.getByText('There is no such page')).toBeVisible();
    await clean(page, 'no such page');
  });
}

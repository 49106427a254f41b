import type { Page } from '@playwright/test';
import { goTo, Person } from './person';
import { expect, test } from './server';

const OUTING = '/prepare/2026-08-12/harrowmere';

/** Width and height of every page as it comes from the printer, mm. */
async function pagesOf(page: Page): Promise<[number, number][]> {
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  return [...pdf.matchAll(/\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/g)].map(([, width, height]) => [
    Math.round((Number(width) / 72) * 25.4),
    Math.round((Number(height) / 72) * 25.4),
  ]);
}

const SHEETS: [string, [number, number], number][] = [
  ['a4-24', [210, 297], 1],
  ['a4-14', [210, 297], 1],
  ['letter-30', [216, 279], 1],
  ['letter-10', [216, 279], 1],
  ['roll-62', [62, 29], 5],
];

test('five labels come on the pages of each sheet, nothing cut off', async ({ page, server }) => {
  await new Person(page, server.address).opens('sampler');
  await goTo(page, `${server.address}${OUTING}/labels`);
  await expect(page.getByRole('button', { name: 'Print 5 labels' })).toBeVisible();
  for (const [sheet, size, count] of SHEETS) {
    await page.getByLabel('Sheet').selectOption(sheet);
    expect(await pagesOf(page), sheet).toEqual(Array(count).fill(size));
    // What stands on a label fits into it.
    expect(
      await page.locator('.label').evaluateAll((labels) => labels.every((label) => label.scrollHeight <= label.clientHeight + 1)),
      sheet,
    ).toBe(true);
  }
});

test('labels begin where the sheet is still free, and go on to another', async ({ page, server }) => {
  await new Person(page, server.address).opens('sampler');
  await goTo(page, `${server.address}${OUTING}/labels`);
  await expect(page.getByRole('button', { name: 'Print 5 labels' })).toBeVisible();
  await page.getByLabel(/^First free label/).fill('22');
  expect(await pagesOf(page)).toHaveLength(2);
  await expect(page.getByRole('list', { name: 'Page 1' }).getByRole('img')).toHaveCount(3);
  await expect(page.getByRole('list', { name: 'Page 2' }).getByRole('img')).toHaveCount(2);
});

test('a field sheet is one page for each station, in the programme’s boxes', async ({ page, server }) => {
  await new Person(page, server.address).opens('sampler');
  await goTo(page, `${server.address}${OUTING}/sheets`);
  const deep = page.getByRole('article', { name: 'Sheet for Deep Hole' });
  const arm = page.getByRole('article', { name: 'Sheet for North Arm' });
  await expect(deep.getByText('lost, reading 1')).toBeVisible();
  await expect(arm.getByText('seen again, reading 2')).toBeVisible();
  await expect(arm.getByText('lost, reading 1')).toHaveCount(0);
  await expect(arm.getByText('11.5 m', { exact: true })).toBeVisible();
  for (const [paper, size] of [
    ['A4', [210, 297]],
    ['US Letter', [216, 279]],
  ] as const) {
    await page.getByLabel('Paper').selectOption({ label: paper });
    expect(await pagesOf(page), paper).toEqual([size, size]);
    expect(
      await page.locator('.field-sheet').evaluateAll((sheets) => sheets.every((s) => s.scrollHeight <= s.clientHeight + 1)),
      paper,
    ).toBe(true);
  }
});

test('a closed visit with a profile prints as one page', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  await person.answers('How deep is it here?', '11.9');
  await person.answers(/^Bea Okafor:/, '3.2');
  await person.answers(/^Tomas Reyl:/, '3.4');
  await page.getByRole('button', { name: 'On to the profile' }).click();
  await page.getByRole('button', { name: 'calibrate', exact: true }).click();
  await page.getByLabel('It read').fill('98.4');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await person.reads(Array.from({ length: 13 }, (_, i): [string, string] => [(21.8 - i * 0.8).toFixed(1), '8.6']));
  await page.getByRole('button', { name: 'On to leaving' }).click();
  await person.ends();

  const sheet = page.getByRole('region', { name: 'Field sheet' });
  await expect(sheet).toContainText('Thermocline, by density');
  await expect(sheet.getByRole('row')).toHaveCount(14);
  expect(await pagesOf(page)).toHaveLength(1);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText('Harrowmere, North Arm (HAR-2) · Layered lake version 1')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print the sheet' })).toBeHidden();
});

test('a manifest prints on one page with room for both signatures', async ({ page, server }) => {
  await new Person(page, server.address).opens();
  await goTo(page, `${server.address}/ledger`);
  await page.getByRole('link', { name: /2 to measure/ }).click();
  await expect(page.getByText('Received, Fri 31 Jul 2026 11:20')).toBeVisible();
  expect(await pagesOf(page)).toHaveLength(1);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print it' })).toBeHidden();
  await expect(page.getByText('Handed over, Fri 31 Jul 2026 10:20')).toBeVisible();
});

test('a water’s year is two pages for neighbours and its numbers behind them, on A4 and on Letter', async ({ page, server }) => {
  await new Person(page, server.address).opens('reader');
  await goTo(page, `${server.address}/record/report/pell-tarn?year=2025`);
  await expect(page.getByRole('heading', { name: 'Pell Tarn, 2025' })).toBeVisible();
  await expect(page.getByRole('img').first()).toBeVisible();
  for (const format of ['A4', 'Letter']) {
    const pdf = (await page.pdf({ format, margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } })).toString(
      'latin1',
    );
    expect([...pdf.matchAll(/\/MediaBox/g)], format).toHaveLength(3);
  }
});

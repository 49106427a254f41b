import { goTo, Person } from './person';
import { expect, test } from './server';
import { signIn } from './session.mjs';

const [FILTER, REPLICATE] = ['HAR-1-260603-F1-4', 'HAR-1-260603-F1R-Q'];

test('a laboratory measures extracts and releases what it found', async ({ page, server }) => {
  await signIn(page.request, server.address, 'laboratory');
  await goTo(page, `${server.address}/ledger`);
  await expect(page.getByRole('heading', { name: '4 samples wait to be measured' })).toBeVisible();
  await page.getByRole('link', { name: /2 to measure/ }).click();
  await page.getByRole('link', { name: 'Enter absorbances or fluorescence' }).click();
  const row = page.getByRole('form', { name: `Readings of ${FILTER}` });
  await row.getByLabel('664 before acid').fill('132');
  await row.getByLabel('750 before acid').fill('0.004');
  await row.getByLabel('665 after acid').fill('0.083');
  await row.getByLabel('750 after acid').fill('0.003');
  await expect(page.getByText('132 at 664 before acid nm is not an absorbance.')).toBeVisible();
  await row.getByLabel('664 before acid').fill('0.132');
  // 26.7 × (0.128 − 0.080) × 10 / (0.1 × 5) = 25.63
  await row.getByRole('button', { name: /25\.63 µg\/L/ }).click();
  await expect(page.getByRole('dialog')).toContainText('26.7 × (0.128 − 0.08)');
  await page.keyboard.press('Escape');
  await row.getByRole('button', { name: 'Keep' }).click();
  const release = page.getByRole('button', { name: 'Release 1 result to the record' });
  await release.click();
  await expect(release).toHaveCount(0);
  // “All sent” may still be said of what was written before.
  await expect.poll(() => server.get(`/api/samples/${FILTER}`)).toMatchObject([{ state: 'reported' }]);
  await page.goto(`${server.address}/record/HAR-1?of=chlorophyll`);
  await page.getByText(/^Every reading/).click();
  await expect(page.getByRole('row', { name: /3 June 2026 25\.6 µg\/L/ })).toBeVisible();
});

test('of a results file nothing is dropped, doubled or guessed', async ({ page, server }) => {
  await signIn(page.request, server.address, 'laboratory');
  await goTo(page, `${server.address}/ledger/results`);
  const file = [
    'Sample;Test;Result;Units;Date',
    `${FILTER};CHL a;3,42;ug/L;31.07.2026`,
    `${REPLICATE};CHL a;<0,5;ug/L;31.07.2026`,
    `${REPLICATE};pheo a;0,31;;31.07.2026`,
    'HAR-1-240101-F1;CHL a;3;ug/L;31.07.2026',
    `${FILTER.slice(0, -1)}5;CHL a;3;ug/L;31.07.2026`,
    `${FILTER};CHL a;3,42;ug/L;31.07.2026`,
  ].join('\n');
  const upload = { name: 'july.csv', mimeType: 'text/csv', buffer: Buffer.from(file) };
  await page.getByLabel('Choose a file…').setInputFiles(upload);
  await expect(page.getByRole('heading', { name: 'This would bring in 2 new results of 2 samples' })).toBeVisible();
  const outcome = page.getByRole('region', { name: 'What comes of it' });
  await expect(outcome).toContainText('1 have no unit, or one that could be two');
  await expect(outcome).toContainText('1 match no sample, or two');
  await expect(outcome).toContainText('1 have a number with a wrong character');
  await page.getByRole('button', { name: 'Bring them in, list 3' }).click();
  await expect(page.getByRole('heading', { name: 'Brought in: 2 new results of 2 samples' })).toBeVisible();
  await expect(page.getByRole('heading', { name: '3 rows wait for somebody' })).toBeVisible();

  // Again: nothing is new. A row is put aside with a reason.
  await page.getByLabel('Another file…').setInputFiles(upload);
  await expect(page.getByRole('heading', { name: 'This would bring in 0 new results of 0 samples' })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'put aside…' }).first().click();
  await page.getByRole('button', { name: 'not ours' }).click();
  await page.getByRole('button', { name: 'Put it aside', exact: true }).click();
  await expect(page.getByRole('heading', { name: '2 rows wait for somebody' })).toBeVisible();
  await goTo(page, `${server.address}/ledger/sample/${REPLICATE}`);
  await expect(page.getByRole('cell', { name: '< 0.5 µg/L' })).toBeVisible();
});

test('a box is taken in with what was wrong with it, and a vial is rejected with a reason', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/ledger`);
  for (const number of ['HAR-1-260701-F1-X', 'HAR-1-260701-F1R-C']) {
    await page.getByRole('checkbox', { name: `Pick ${number}` }).check();
  }
  await page.getByRole('region', { name: 'The picked samples' }).getByRole('button', { name: 'Hand over…' }).click();
  for (const tick of ['Frozen through', 'Label read, the same as here']) {
    await page.getByRole('checkbox', { name: tick }).first().check();
    await page.getByRole('checkbox', { name: tick }).last().check();
  }
  await page.getByRole('button', { name: 'Hand over 2 samples' }).click();
  const [whole, thawed] = ['HAR-1-260701-F1-X', 'HAR-1-260701-F1R-C'];
  await page.getByLabel(`${thawed} arrived`).selectOption('thawed');
  await page.getByRole('checkbox', { name: `reject ${thawed}` }).check();
  await expect(page.getByRole('button', { name: 'Take in 2 of 2' })).toBeDisabled();
  await page.getByLabel(`Why ${thawed} is rejected`).fill('thawed through');
  await page.getByRole('button', { name: 'Take in 2 of 2' }).click();
  await expect(page.getByRole('row', { name: new RegExp(`${thawed}.*rejected`) })).toBeVisible();
  await expect(page.getByRole('row', { name: new RegExp(`${whole}.*at the lab`) })).toBeVisible();

  // What went already cannot go again, and a number with a slip finds nothing.
  await goTo(page, `${server.address}/ledger/hand-over?pick=${encodeURIComponent(JSON.stringify([whole]))}`);
  await expect(page.getByText(`${whole} was handed over already, to Aldwick district laboratory.`)).toBeVisible();
  await goTo(page, `${server.address}/ledger`);
  await page.getByRole('searchbox').fill(`${whole.slice(0, -1)}Y`);
  await page.keyboard.press('Enter');
  await expect(page.getByText('its last character does not fit the others')).toBeVisible();
  await page.getByRole('searchbox').fill(thawed.toLowerCase());
  await page.keyboard.press('Enter');
  await expect(page.getByText('rejected: thawed through')).toBeVisible();
});

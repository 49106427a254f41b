import { goTo, Person } from './person';
import { expect, test } from './server';
import { signIn } from './session.mjs';

const BOTTLES = ['HAR-1-260812-C1-Q', 'HAR-1-260812-C1R-X'];
const [FILTER, REPLICATE] = ['HAR-1-260812-F1-E', 'HAR-1-260812-F1R-9'];

test.describe('with no signal', () => {
  test.use({ serviceWorkers: 'allow' });

  test('from the composite on the boat to a chlorophyll value in the record', { tag: '@boat' }, async ({
    page,
    browser,
    server,
  }) => {
    test.setTimeout(240_000);
    const person = new Person(page, server.address);
    // On the water and at the bench there is no signal.
    await person.castsOff(server, 'Harrowmere, Deep Hole', ['clarity', 'chlorophyll']);
    await page.getByRole('button', { name: 'On to the sounding' }).click();
    await person.fillsTheComposite(BOTTLES);

    await person.toPlace('Bench');
    await expect(page.getByText('since collection')).toBeVisible();
    await page.getByRole('link', { name: `Filter ${FILTER}` }).click();
    await person.filters(FILTER, 1, '12');
    await expect(page.getByRole('heading', { name: '50 + 38 = 88 mL on the filter, in the freezer' })).toBeVisible();
    await page.getByRole('link', { name: `Next: ${REPLICATE} REP` }).click();
    await person.filters(REPLICATE, 2);
    await page.getByRole('link', { name: 'To the bench' }).click();
    await expect(page.getByText('Nothing waits to be filtered.')).toBeVisible();

    // Still with no signal the ledger has them, and they can be handed over.
    await person.toPlace('Ledger');
    await expect(page.getByRole('region', { name: 'Freezer' }).getByRole('link', { name: FILTER })).toBeVisible();
    await page.getByRole('link', { name: FILTER, exact: true }).click();
    await expect(page.getByText('filtered from HAR-1-260812-C1-Q, in its vial')).toBeVisible();
    await page.goBack();
    for (const vial of [FILTER, REPLICATE]) {
      await page.getByRole('checkbox', { name: `Pick ${vial}` }).check();
    }
    await page.getByRole('region', { name: 'The picked samples' }).getByRole('button', { name: 'Hand over…' }).click();
    await expect(page.getByRole('button', { name: 'Hand over', exact: true })).toBeDisabled();
    for (const tick of ['Frozen through', 'Label read, the same as here']) {
      await page.getByRole('checkbox', { name: tick }).first().check();
      await page.getByRole('checkbox', { name: tick }).last().check();
    }
    await person.picks('On', 'dry ice');
    await expect(page.getByText('This goes on ice, not dry ice.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Hand over 2 samples' })).toBeDisabled();
    await person.picks('On', 'frozen packs');
    await page.getByRole('button', { name: 'Hand over 2 samples' }).click();
    await expect(page.getByRole('heading', { name: '2 samples to Aldwick district laboratory' })).toBeVisible();
    const manifest = page.url();

    await person.comesBack(server);
    await expect(page.getByRole('button', { name: 'Ask the simulated laboratory' })).toBeVisible();
    await expect(page.getByText('Handed over, Wed 12 Aug 2026')).toBeVisible();

    // The laboratory takes the box in, works, and answers with a file in its own layout, which the office brings in.
    const office = await (await browser.newContext({ serviceWorkers: 'block', locale: 'en-GB' })).newPage();
    await signIn(office.request, server.address);
    await goTo(office, manifest);
    await expect(async () => {
      await office.getByRole('button', { name: 'Ask the simulated laboratory' }).click();
      await expect(office.getByRole('button', { name: 'Look at its results' })).toBeVisible({ timeout: 2_000 });
    }).toPass();
    await office.getByRole('button', { name: 'Look at its results' }).click();
    await expect(office.getByRole('heading', { name: 'This would bring in 4 new results of 2 samples' })).toBeVisible();
    await office.getByRole('button', { name: 'Bring them in' }).click();
    await expect(office.getByRole('heading', { name: 'Brought in: 4 new results of 2 samples' })).toBeVisible();

    await goTo(office, `${server.address}/record/HAR-1?of=chlorophyll`);
    await office.getByText(/^Every reading/).click();
    await expect(office.getByRole('row', { name: /12 August 2026 .* µg\/L .* provisional/ })).toBeVisible();
    // And down again to the bottle: whose hands, when, how much.
    await goTo(office, `${server.address}/ledger/sample/${FILTER}`);
    await expect(office.getByText('88 mL filtered')).toBeVisible();
    await expect(office.getByText('received in good order, signed the simulated laboratory')).toBeVisible();
    await expect(office.getByText(/^results, results-/)).toBeVisible();
  });
});

import { goTo, Person } from './person';
import { expect, test } from './server';

const TABLE = `Site;Date;Time;Observer;Depth (m);Secchi (m);Temp (C);DO (mg/L);TP;Remarks
North Arm;12/07/1994;10:30;Old Hand;0;4,2;20,1;9,0;14;calm
North Arm;12/07/1994;10:30;Old Hand;2;4,2;19,8;9,1;;
North Arm;12/07/1994;10:30;Old Hand;4;4,2;17,0;6,5;;
North Arm;09/08/1994;;;0;3,9;21,0;8,8;16;
North Arm;13/06/1995;11:00;Old Hand;0;4,8;17,2;9,6;12;
North Arm;18/07/1995;11:00;Old Hand;0;4,4;cold;9,1;0,015;
North Arm;15/08/1995;11:15;Old Hand;0;3,8;21,4;8,9;18;
North Bay;15/08/1995;11:15;Old Hand;0;3,8;21,4;8,9;18;
North Arm;11/06/1996;;Second Hand;0;> 5,1;16,8;9,4;13;on the bottom
North Arm;16/07/1996;;Second Hand;0;4,1;19,9;9,0;15;
North Arm;20/08/1996;;Second Hand;0;430;20,7;8,8;17;
`;

test('an old table comes in by its columns, what is off is caught, and the whole is taken back', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/setup/data`);
  await page.getByRole('link', { name: 'Choose the table' }).click();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'old years.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) });

  // A unit that stands nowhere is asked for, not guessed.
  await expect(page.getByText('“TP” has no unit.')).toBeVisible();
  await page.getByLabel('Unit of TP').selectOption('µg/L as P');
  await expect(
    page.getByRole('heading', { name: /^This would bring in 8 visits from 12 July 1994 to 20 August 1996/ }),
  ).toBeVisible();
  const left = page.getByRole('region', { name: 'Left out, or to look at' }).getByRole('listitem');
  await expect(left).toHaveCount(4);
  await expect(left.filter({ hasText: 'line 7' }).filter({ hasText: '0,015 µg/L as P' })).toContainText(
    'the middle of its column',
  );
  await expect(left.filter({ hasText: 'line 7' }).filter({ hasText: '“cold” is not a number.' })).toBeVisible();
  await expect(left.filter({ hasText: 'line 9' })).toContainText('No station “North Bay” is known here.');
  await expect(left.filter({ hasText: 'line 12' })).toContainText('430 m is deeper than North Arm');

  // A column in the wrong unit is seen as a whole.
  await page.getByLabel('Unit of TP').selectOption('mg/L as P');
  await expect(page.getByText(/In µg\/L as P it would be usual\./)).toBeVisible();
  await page.getByLabel('Unit of TP').selectOption('µg/L as P');

  await page.getByRole('button', { name: 'Bring in 8 visits' }).click();
  await expect(page.getByRole('heading', { name: /^Brought in: 8 visits/ })).toBeVisible();
  const row = page.getByRole('region', { name: 'Tables brought in' }).getByRole('listitem');
  await expect(row).toContainText('8 visits, 8 wait to be signed off');
  await expect(row).toContainText('Somebody else than you signs them off.');

  // Down from the picture to the line of the file.
  await goTo(page, `${server.address}/record/HAR-2?of=clarity`);
  await expect(page.getByText(/8 values wait for review|values wait for review/).first()).toBeVisible();
  await page.getByText(/^Every reading/).click();
  await page
    .getByRole('row', { name: /12 July 1994/ })
    .getByRole('link')
    .click();
  await page
    .getByText(/^Written so far/)
    .filter({ visible: true })
    .click();
  await expect(
    page
      .getByText(/from old years\.csv, line 2/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();

  await goTo(page, `${server.address}/setup/data/table`);
  await page.getByRole('button', { name: 'Take it back…' }).click();
  await page.getByRole('button', { name: 'wrong station' }).click();
  await page.getByRole('button', { name: 'Take it back', exact: true }).click();
  await expect(page.getByText('✓ 8 visits are struck; the log keeps them with the reason.')).toBeVisible();
  await expect(row).toContainText('Taken back: its 8 visits are struck.');
  await goTo(page, `${server.address}/record/HAR-2?of=clarity`);
  await expect(page.getByRole('row', { name: /12 July 1994/ })).toHaveCount(0);
  await expect(async () => {
    const { context } = await server.get<{ context: { history: { date: string }[] } }>('/api/stations/HAR-2');
    expect(context.history.filter(({ date }) => date < '2000')).toHaveLength(0);
  }).toPass();
});

test('a file that is no table is refused in words, and nothing is kept', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/setup/data/table`);
  const file = page.locator('input[type=file]');
  await file.setInputFiles({ name: 'one.csv', mimeType: 'text/csv', buffer: Buffer.from('only one column\n1\n') });
  await expect(page.getByRole('alert')).toContainText('There is no table in it.');
  await file.setInputFiles({
    name: 'bomb.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Date,Secchi\n"${'9'.repeat(200_000)}`),
  });
  await expect(page.getByRole('alert')).toContainText('longer than 2000 characters');
  await expect(page.getByRole('region', { name: 'Tables brought in' })).toHaveCount(0);
});

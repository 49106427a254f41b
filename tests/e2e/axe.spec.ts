import { clean, fits } from './clean';
import { goTo, Person } from './person';
import { expect, test } from './server';

test('no screen has a fault for those who see or point otherwise', async ({ page, server }) => {
  // Two dozen screens, each looked at whole.
  test.setTimeout(300_000);
  const person = new Person(page, server.address);
  await goTo(page, server.address);
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
  await goTo(page, `${server.address}/start/HAR-1`);
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  await clean(page, 'start');
  await person.begins(['clarity', 'chlorophyll']);
  await clean(page, 'arriving');
  await page.getByRole('button', { name: 'On to the sounding' }).click();
  await expect(person.question('How deep is it here?')).toBeVisible();
  await clean(page, 'sounding asked');
  await person.answers('How deep is it here?', '80');
  // Unusual: the page stays until a person goes on.
  await expect(page.getByRole('region', { name: /^Check: 80 ft here/ })).toBeVisible();
  await page.getByRole('button', { name: 'On to clarity' }).click();
  await expect(person.question('Where was it lost?')).toBeVisible();
  await clean(page, 'clarity asked');
  await person.goes('Leave');
  await expect(page.getByRole('button', { name: 'End the visit' })).toBeVisible();
  await clean(page, 'leaving, unfilled');
  await person.goes('Composite');
  await clean(page, 'composite, waiting');
  await person.goes('Sounding');
  await expect(page.getByText('80 ft here').first()).toBeVisible();
  await clean(page, 'sounding that differs');
  await person.goes('Clarity');
  await person.answers('Where was it lost?', '11 3');
  await person.answers('Where did you see it again?', '12 9');
  await expect(page.getByRole('button', { name: 'Swap them' })).toBeVisible();
  await clean(page, 'a stop');
  await page.getByRole('button', { name: 'Other ways' }).click();
  await page.getByRole('button', { name: 'Keep, because…' }).click();
  await clean(page, 'a reason');
  await page.getByRole('button', { name: 'Leave as it is' }).click();
  await page.getByRole('button', { name: 'Swap them' }).click();
  await page.getByRole('button', { name: 'show the working: Clarity' }).first().click();
  await clean(page, 'a working');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'On to the composite' }).click();
  await clean(page, 'composite');
  await page.getByRole('button', { name: 'Not done, because…' }).click();
  await page.getByRole('button', { name: 'weather', exact: true }).click();
  await page.getByRole('button', { name: 'Not done', exact: true }).click();
  await expect(page.getByText('Not done: weather.')).toBeVisible();
  await person.goes('Leave');
  await person.ends();
  await clean(page, 'ended');
  await page.getByRole('link', { name: 'See it in the record' }).click();
  await page.getByText(/^By year/).click();
  await clean(page, 'record');
  await goTo(page, `${server.address}/visit/01990000-0000-7000-8000-000000000000`);
  await expect(page.getByText('This visit is not on this device')).toBeVisible();
  await clean(page, 'a visit that is not here');
  await goTo(page, `${server.address}/season`);
  await expect(page.getByRole('heading', { name: /^Harrowmere: .*North Arm/ })).toBeVisible();
  await clean(page, 'season');
  await goTo(page, `${server.address}/setup/waters`);
  await expect(page.getByRole('link', { name: 'Pell Tarn' })).toBeVisible();
  await clean(page, 'waters');
  await goTo(page, `${server.address}/setup/waters/harrowmere`);
  await page.getByRole('button', { name: 'Change HAR-1' }).click();
  await expect(page.getByRole('heading', { name: 'Station HAR-1' })).toBeVisible();
  await clean(page, 'station');
  await goTo(page, `${server.address}/setup/programmes`);
  await page.getByRole('button', { name: 'Change Monthly composite' }).click();
  await expect(page.getByRole('heading', { name: 'Monthly composite' })).toBeVisible();
  await clean(page, 'programme');
  await page.getByText('Place, time, people').click();
  await expect(page.getByLabel('Finding the station')).toBeVisible();
  await clean(page, 'methods');
  await goTo(page, `${server.address}/prepare`);
  await expect(page.getByRole('link', { name: /^Prepare Harrowmere/ }).first()).toBeVisible();
  await clean(page, 'outings');
  await goTo(page, `${server.address}/prepare/2026-08-12/harrowmere`);
  await expect(page.getByRole('button', { name: 'Pack for offline' })).toBeVisible();
  await clean(page, 'an outing');
  await goTo(page, `${server.address}/setup/kit`);
  await page.getByRole('button', { name: 'Open R-4' }).click();
  await expect(page.getByText('R-4 reads 2.3 % off.').first()).toBeVisible();
  await clean(page, 'an item of the kit');
  await page.getByRole('button', { name: 'Tape it' }).click();
  await clean(page, 'a check of the kit');
  await goTo(page, `${server.address}/setup/laboratory`);
  await expect(page.getByText('everybody')).toBeVisible();
  await clean(page, 'laboratory');
  await goTo(page, `${server.address}/setup/people`);
  await page.getByRole('button', { name: 'Change Mina Quell' }).click();
  await clean(page, 'people');
  await goTo(page, `${server.address}/nowhere`);
  await expect(page.getByText('There is no such page')).toBeVisible();
  await clean(page, 'no such page');
});

test('no page of the long record has a fault for those who see or point otherwise', async ({ page, server }) => {
  test.setTimeout(180_000);
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/record`);
  await expect(page.getByRole('link', { name: /^The water is getting murkier/ })).toBeVisible();
  await clean(page, 'answers');
  for (const [of, heading] of [
    ['profiles', /^\d+ \w+ 2025/],
    ['oxygen', /^Oxygen and warmth of/],
    ['together', /^Clarity, chlorophyll/],
    ['bottom-oxygen', /oxygen/],
  ] as const) {
    await goTo(page, `${server.address}/record/HAR-2?of=${of}`);
    await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
    await expect(page.getByRole('img').first()).toBeVisible();
    await clean(page, of);
  }
  await goTo(page, `${server.address}/record/beside`);
  await expect(page.getByRole('listitem').filter({ hasText: 'Deep Hole' })).toBeVisible();
  await clean(page, 'stations side by side');
  await goTo(page, `${server.address}/record/summary`);
  await expect(page.getByRole('heading', { name: /^All waters/ })).toBeVisible();
  await clean(page, 'summary');
  await goTo(page, `${server.address}/setup/data/table`);
  await page.locator('input[type=file]').setInputFiles({
    name: 'old.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Site,Date,Secchi (m),TP\nDeep Hole,1994-07-12,4.2,14\nNowhere,1994-07-13,4,15\n'),
  });
  await expect(page.getByText('“TP” has no unit.')).toBeVisible();
  await clean(page, 'old table');
  await goTo(page, `${server.address}/record/report/harrowmere?year=2025`);
  await expect(page.getByRole('heading', { name: 'Harrowmere, 2025' })).toBeVisible();
  await clean(page, 'report');
  await goTo(page, `${server.address}/review`);
  await page
    .getByRole('link', { name: /^Look at/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'The column' })).toBeVisible();
  await clean(page, 'a visit under review');
  await goTo(page, `${server.address}/workings?of=trend`);
  await expect(page.getByText(/^The values fall/)).toBeVisible();
  await clean(page, 'workings');
  await goTo(page, `${server.address}/setup/data`);
  await expect(page.getByRole('link', { name: 'Save Everything' })).toBeVisible();
  await clean(page, 'data');
});

test('no step of a whole visit has a fault for those who see or point otherwise', { tag: '@both' }, async ({ page, server }) => {
  test.setTimeout(180_000);
  const person = new Person(page, server.address);
  await person.opens();
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile', 'chlorophyll']);
  await person.answers('How deep is it here?', '5.0');
  await page.getByRole('button', { name: 'On to clarity' }).click();
  await person.answers(/^Bea Okafor:/, '3.2');
  await clean(page, 'the second observer asked');
  await person.answers(/^Tomas Reyl:/, '3.4');
  await expect(page.getByRole('button', { name: '7 moss' })).toBeVisible();
  await clean(page, 'beside the marks');
  await person.goes('Profile');
  await page.getByRole('button', { name: 'calibrate', exact: true }).click();
  await clean(page, 'calibration');
  await page.getByRole('button', { name: 'Not now' }).click();
  await person.reads([
    ['21.8', '8.6'],
    ['21.7', '98'],
  ]);
  await expect(page.getByRole('button', { name: 'Read this one as %' })).toBeVisible();
  await clean(page, 'a column of per cent');
  await page.getByRole('button', { name: 'Other ways' }).click();
  await expect(page.getByRole('button', { name: 'From here down' })).toBeVisible();
  await clean(page, 'all ways to mend it');
  await page.getByRole('button', { name: 'Fold it up' }).click();
  await page.getByRole('button', { name: '0.3 m, read again or strike' }).click();
  await clean(page, 'a level opened');
  await page.getByRole('button', { name: 'Live from the sonde' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Still for' })).toBeVisible();
  await page.getByText('its display, its cable, its time').click();
  await clean(page, 'live from the sonde');
  await page.getByRole('button', { name: 'type instead' }).click();
  const log = 'Depth (m),Temp (C),DO\n0.3,21.0,8.6\n1.0,20.8,8.5\n2.0,20.1,8.1\n';
  await page
    .getByLabel('File of a logged cast')
    .setInputFiles({ name: 'arm.csv', mimeType: 'text/csv', buffer: Buffer.from(log) });
  await expect(page.getByText('The oxygen column has no unit.')).toBeVisible();
  await clean(page, 'a logged cast');
  await page.getByRole('button', { name: 'Not this file' }).click();
  await person.goes('Composite');
  await person.composes('three quarters', ['HAR-2-260812-C1-B']);
  await clean(page, 'a composite with its bottle');
  await person.goes('Leave');
  await clean(page, 'leaving, gear counted');
  await goTo(page, server.address);
  await person.starts('Skarn Sound, Pier head', ['clarity', 'seawater bottle']);
  await person.goes('Seawater bottle');
  await expect(page.getByText('Scan the bottle.')).toBeVisible();
  await clean(page, 'a protocol that describes itself');
  await goTo(page, server.address);
  await person.startsAt('Harrowmere, Inlet');
  await person.begins(['tributary']);
  await page.getByRole('button', { name: 'On to the tributary' }).click();
  for (const [box, number] of [
    ['Tape at the left edge of the water, m', '0.2'],
    ['Tape at the right edge, m', '3.0'],
    ['Tape, m', '1.6'],
    ['Depth', '0.36'],
    ['Speed at 0.6 of the depth from the surface, m/s', '0.43'],
  ] as const) {
    await person.writes(box, number);
  }
  await expect(page.getByRole('figure', { name: /1\.6 m: 0\.36 m deep/ })).toBeVisible();
  await clean(page, 'a stream that is gauged');
});

test('nor has the bench, the ledger, or the laboratory’s side of it', async ({ page, server }) => {
  test.setTimeout(240_000);
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/bench`);
  await expect(page.getByText('Nothing waits to be filtered.')).toBeVisible();
  await clean(page, 'an empty bench');
  await goTo(page, server.address);
  await person.starts('Harrowmere, Deep Hole', ['clarity', 'chlorophyll']);
  await person.fillsTheComposite(['HAR-1-260812-C1-Q']);
  await goTo(page, `${server.address}/bench`);
  await expect(page.getByText('since collection')).toBeVisible();
  await clean(page, 'bench');
  await page.getByRole('link', { name: 'Filter HAR-1-260812-F1-E' }).click();
  await expect(page.getByRole('button', { name: 'Swirled: begin' })).toBeVisible();
  await clean(page, 'which bottle');
  await page.getByRole('button', { name: 'Swirled: begin' }).click();
  await page.getByRole('button', { name: 'The tinted or tissue-like one' }).click();
  await clean(page, 'which disc');
  await page.getByRole('button', { name: 'The white one is in' }).click();
  await page.getByRole('button', { name: 'Rinsed', exact: true }).click();
  await page.getByRole('button', { name: '50 mL through' }).click();
  await page.getByRole('button', { name: 'torn' }).click();
  await expect(page.getByText('The filter was torn.')).toBeVisible();
  await clean(page, 'fills');
  await page.getByRole('button', { name: 'It clogged…' }).click();
  await clean(page, 'clogged');
  await page.getByRole('button', { name: 'What is left' }).click();
  await clean(page, 'what is left');
  await page.getByRole('button', { name: 'back', exact: true }).click();
  await page.getByRole('button', { name: 'it did not clog' }).click();
  await page.getByRole('button', { name: 'Folded, in the vial' }).click();
  await page.getByRole('button', { name: 'something cannot be written or read' }).click();
  await clean(page, 'label');
  await page.getByRole('button', { name: 'Nothing is missing' }).click();
  await page.getByRole('button', { name: 'All of it stands there' }).click();
  await expect(page.getByRole('button', { name: 'In the freezer' })).toBeDisabled();
  await clean(page, 'foil and freezer');
  await goTo(page, `${server.address}/ledger`);
  await expect(page.getByText(/days left/).first()).toBeVisible();
  await page.getByRole('checkbox', { name: 'Pick HAR-1-260701-F1-X' }).check();
  await page.getByRole('button', { name: 'Put away…' }).click();
  await clean(page, 'ledger');
  await goTo(page, `${server.address}/ledger/sample/HAR-1-260701-F1-X`);
  await page.getByText('more', { exact: true }).click();
  await expect(page.getByRole('img', { name: 'QR code of HAR-1-260701-F1-X' })).toBeVisible();
  await clean(page, 'a sample');
  await goTo(page, `${server.address}/ledger/hand-over`);
  await page.getByText('not so').first().click();
  await page.getByLabel('What differs on the label').first().fill('depth');
  await expect(page.getByText('form and bottle differ')).toBeVisible();
  await person.picks('How', 'by carrier or post');
  await clean(page, 'hand-over');
  await goTo(page, `${server.address}/ledger`);
  await page.getByRole('link', { name: /2 to measure/ }).click();
  await expect(page.getByRole('row', { name: /HAR-1-260603-F1-4/ })).toBeVisible();
  await clean(page, 'manifest');
  await page.getByRole('link', { name: 'Enter absorbances or fluorescence' }).click();
  await expect(page.getByRole('form', { name: /^Readings of/ }).first()).toBeVisible();
  await clean(page, 'measure');
  await goTo(page, `${server.address}/ledger/results`);
  const file = 'Sample;Test;Result\nHAR-1-260603-F1-4;CHL a;3,42\nx;CHL a;3\n';
  await page.getByLabel('Choose a file…').setInputFiles({ name: 'a.csv', mimeType: 'text/csv', buffer: Buffer.from(file) });
  await page.getByText('the rows that would be listed').click();
  await clean(page, 'results');
});

test('no page is wider than a phone', { tag: '@boat' }, async ({ page, server }) => {
  test.setTimeout(180_000);
  await new Person(page, server.address).opens();
  for (const path of [
    '/',
    '/start/HAR-1',
    '/season',
    '/prepare',
    '/prepare/2026-08-12/harrowmere',
    '/bench',
    '/ledger',
    '/ledger/hand-over',
    '/ledger/results',
    '/ledger/sample/HAR-1-260701-F1-X',
    '/review',
    '/workings?of=trend',
    '/record',
    '/record/HAR-1',
    '/record/HAR-2?of=profiles',
    '/record/HAR-2?of=oxygen',
    '/record/HAR-2?of=together',
    '/record/beside',
    '/record/summary',
    '/record/report/harrowmere?year=2025',
    '/setup/waters',
    '/setup/waters/harrowmere',
    '/setup/programmes',
    '/setup/kit',
    '/setup/laboratory',
    '/setup/people',
    '/setup/data',
    '/setup/data/table',
    '/nowhere',
  ]) {
    await goTo(page, server.address + path);
    await expect(page.getByRole('main').getByRole('heading').first(), path).toBeVisible();
    await fits(page, path);
  }
});

import { Person } from './person';
import { expect, test } from './server';

interface Sent {
  kind: string;
  body: { oxygen?: { written: string; unit: string } };
}

test.describe('with no signal', () => {
  test.use({ serviceWorkers: 'allow', ownServer: true });

  test('the whole visit to a layered lake, the network cut and the server stopped', { tag: '@boat' }, async ({
    page,
    server,
  }) => {
    test.slow();
    const person = new Person(page, server.address);
    await person.castsOff(server, 'Harrowmere, North Arm', ['clarity', 'profile', 'chlorophyll']);
    await person.picks('How many aboard?', '2');
    await person.picks('Does the anchor hold?', 'yes');
    await person.picks('Waves', 'ripples');
    await person.picks('Rain in the last 24 h', 'none');
    await person.picks('Rain in the last 72 h', 'under 5 mm');
    await page.getByRole('button', { name: 'type it' }).click();
    await page.getByLabel(/^Latitude and longitude/).fill('51.9241 -11.4380');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('27 m from the mark, it lies E')).toBeVisible();
    await page.getByRole('button', { name: 'On to the sounding' }).click();

    await person.answers('How deep is it here?', '5.0');
    await expect(page.getByText(/5\.0 m here, 12\.0 m known: 58 % off/)).toHaveCount(0); // already on at the clarity
    await person.answers(/^Bea Okafor:/, '3.2');
    await expect(page.getByText('Bea Okafor has read; the number shows when both are in.')).toBeVisible();
    await person.answers(/^Tomas Reyl:/, '3.4');
    await expect(person.figure('Clarity')).toContainText('3.3 m');
    await person.picks('The disc was read', 'in the shade');
    await person.picks('Sunglasses', 'off');
    await page.getByRole('button', { name: '7 moss' }).click();
    await expect(page.getByRole('button', { name: '7 moss' })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: '8 straw' }).click();
    await expect(page.getByText('Between moss and straw.', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'On to the profile' }).click();

    // No calibration today: a stop that asks for one.
    await person.reads([['21.8', '8.6']]);
    await expect(page.getByRole('alert').filter({ hasText: 'No calibration today.' })).toBeVisible();
    await page.getByRole('button', { name: 'calibrate', exact: true }).click();
    await page.getByLabel('It read').fill('98.4');
    await person.picks('The display now shows', 'mg/L');
    await page.getByRole('button', { name: 'Write it down' }).first().click();
    await expect(page.getByText('No calibration today.')).toHaveCount(0);

    // Then the display is on per cent: the whole column is reread by one touch, and what was written stays.
    await person.reads([
      ['21.7', '98'],
      ['21.6', '97'],
      ['21.2', '96'],
      ['20.6', '95'],
      ['20.3', '94'],
    ]);
    await expect(page.getByText('98 mg/L would be', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'From here down' }).first().click();
    await expect(page.getByText('98 mg/L would be', { exact: false })).toHaveCount(0);
    const levels = page.getByRole('table', { name: 'Levels of the profile' });
    await expect(levels).toContainText('98 %');
    await page.getByRole('button', { name: 'show the working: oxygen at 1 m' }).click();
    await expect(page.getByRole('dialog')).toContainText('Benson & Krause 1980');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'show the working: Mixed layer' }).click();
    await expect(page.getByRole('dialog')).toContainText('0.1 kg/m³');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('table', { name: 'The water column' })).toContainText('8.6 mg/L oxygen');

    await page.getByRole('button', { name: 'On to the composite' }).click();
    // Twice the clarity lies in the mud: the sounding less the clearance stands.
    await expect(page.getByText('4.0 m', { exact: true }).first()).toBeVisible();
    await person.picks('It came up', 'full');
    await page.getByLabel('Raised in, seconds').fill('40');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('Came up full.')).toBeVisible();
    await expect(page.getByText('Raise it over about 30 s')).toBeVisible();
    await person.picks('It came up', '75 %');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page
      .getByRole('button', { name: 'Strike Composite to 4.0 m, came up full, raised in 40 s again', exact: true })
      .click();
    await page.getByRole('button', { name: 'misread mark' }).click();
    await page.getByRole('button', { name: 'Strike it' }).click();
    await page.getByRole('button', { name: 'Fill HAR-2-260812-C1-B', exact: true }).click();
    await person.picks(/^Rinsed, times/, '1');
    await person.picks(/^Filled:/, 'as asked');
    await page.getByRole('button', { name: 'Filled, capped, into the cooler' }).click();

    await person.goes('Sounding');
    await expect(page.getByText(/5\.0 m here, 12\.0 m known/)).toBeVisible();
    await person.goes('Leave');
    await page.getByRole('checkbox', { name: 'disc and line R-5' }).click();
    await expect(page.getByRole('checkbox', { name: 'disc and line R-5' })).toBeChecked();
    const visit = person.visit();
    await person.ends();

    await person.comesBack(server);
    const sent = await server.get<Sent[]>(`/api/visits/${visit}/entries`);
    expect(sent.filter(({ kind }) => kind === 'level')).toHaveLength(6);
    expect(sent.find(({ body }) => body.oxygen?.written === '98')?.body.oxygen).toEqual({ written: '98', unit: 'mg/L' });
  });
});

test('what is half typed at a level survives the page being closed', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  await person.answers('How deep is it here?', '11.9');
  await person.goes('Profile');
  const box = page.getByRole('textbox', { name: /^Temperature/ });
  await box.fill('21.8');
  await page.reload();
  await expect(page.getByRole('textbox', { name: /^Temperature/ })).toHaveValue('21.8');
});

test('a step that is left out says why, and can be done after all', { tag: '@boat' }, async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  await person.goes('Profile');
  await page.getByRole('button', { name: 'Not done, because…' }).click();
  await page.getByRole('button', { name: 'gear left ashore' }).click();
  await page.getByRole('button', { name: 'Not done', exact: true }).click();
  await expect(page.getByText('Not done: gear left ashore.')).toBeVisible();
  await page.getByRole('button', { name: 'do it after all' }).click();
  await expect(page.getByRole('button', { name: 'Not done, because…' })).toBeVisible();
});

test('steps are taken in another order: what it costs is said, and the programme’s order is one touch away', {
  tag: '@boat',
}, async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile', 'chlorophyll']);
  const left = page.getByRole('button', { name: /^What’s left/ });
  const boat = await left.isVisible();
  if (boat) {
    await left.click();
  }
  await page.getByRole('button', { name: 'Change the order' }).click();
  await page.getByRole('button', { name: 'Composite earlier' }).click();
  await expect(page.getByText('Composite before profile; the programme has it the other way round.')).toBeVisible();
  const steps = page.getByRole('region', { name: 'Order of the steps' }).getByRole('listitem');
  await expect(steps).toContainText(['Sounding', 'Clarity', 'Composite', 'Profile']);
  await page.getByRole('button', { name: 'The programme’s order' }).click();
  await expect(steps).toContainText(['Sounding', 'Clarity', 'Profile', 'Composite']);
  await expect(page.getByText('Composite before profile', { exact: false })).toHaveCount(0);
});

test('how a step is done, and why, is one touch away', { tag: '@boat' }, async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  await page.getByRole('button', { name: 'How, and why' }).click();
  await expect(page.getByRole('dialog', { name: 'How it is done: Sounding' })).toContainText(
    'Touching bottom unawares stirs mud into the sample.',
  );
  await page.keyboard.press('Escape');
  await person.goes('Clarity');
  await page.getByRole('button', { name: 'How, and why' }).click();
  // This programme's school: two observers, told apart again.
  await expect(page.getByRole('dialog', { name: 'How it is done: Clarity' })).toContainText(
    'Then the other reads, without knowing the first number.',
  );
});

test('the device says where it is: the nearest station comes first, and where there is none it says so', {
  tag: '@boat',
}, async ({ page, context, server }) => {
  const person = new Person(page, server.address);
  await context.grantPermissions(['geolocation']);
  const known = await server.get<{ context: { station: { latitudeDeg: number; longitudeDeg: number } } }>('/api/stations/SKA-1');
  const { latitudeDeg: latitude, longitudeDeg: longitude } = known.context.station;
  await person.opens('sampler');
  await context.setGeolocation({ latitude, longitude, accuracy: 5 });
  await page.getByRole('button', { name: 'Which station is here?' }).click();
  await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('· here');
  await context.setGeolocation({ latitude: latitude + 0.01, longitude, accuracy: 5 });
  await page.getByRole('button', { name: 'Which station is here?' }).click();
  await expect(page.getByText(/^No station is known here; .* is the nearest, 1\.\d km S\.$/)).toBeVisible();
});

test('the tarn: the disc on the bottom, and the composite from the sounding less the clearance', { tag: '@boat' }, async ({
  page,
  server,
}) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Pell Tarn, Middle', ['clarity']);
  await person.answers('How deep is it here?', '2.5');
  await page.getByRole('button', { name: 'On the bottom, still in sight' }).click();
  await expect(person.figure('Clarity')).toContainText('> 2.5 m');
  await person.picks('The disc was read', 'in the shade');
  await person.picks('Sunglasses', 'off');
  await page.getByRole('button', { name: 'On to leaving' }).click();
  await person.ends();
  await expect(page.getByText('> 2.5 m').first()).toBeVisible();
});

test('the pier: clarity where the disc is lost, a profile with salinity, a bottle of sea water by hand', {
  tag: '@boat',
}, async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Skarn Sound, Pier head', ['clarity', 'seawater bottle']);
  // The tide may take two metres off the known depth.
  await person.answers('How deep is it here?', '6.4');
  await expect(page.getByRole('heading', { name: 'Surface water' }).first()).toBeVisible();
  await page.getByRole('form', { name: /^Cast/ }).waitFor();
  for (const check of await page.getByRole('group', { name: '1. Ready' }).getByRole('checkbox').all()) {
    await check.check();
  }
  await person.picks('Rinsed at depth, times', '3');
  await page.getByRole('button', { name: /^Let it go/ }).click();
  await page.getByRole('button', { name: 'Felt it' }).click();
  await person.picks('It came up', 'open');
  await page.getByRole('button', { name: 'Write the cast down' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'It came up open.' })).toBeVisible();
});

test('a reader who thinks in metres lowers by the marks of a rope in feet', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, Deep Hole', ['clarity', 'chlorophyll']);
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');
  await expect(person.figure('Clarity')).toContainText('12 ft 0 in');
  await page.getByRole('button', { name: 'You and this device' }).click();
  await page.getByRole('radio', { name: 'In metres' }).check();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'On to the composite' }).click();

  await expect(page.getByText('7.32 m').first()).toBeVisible();
  await expect(page.getByLabel('Lowered to, feet and inches')).toHaveValue('24 0');
});

import { Person } from './person';
import { expect, test } from './server';

interface Sent {
  kind: string;
  body: { oxygen?: { written: string; unit: string } };
}

test.describe('with no signal', () => {
  test.use({ serviceWorkers: 'allow' });

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
    await expect(page.getByRole('region', { name: /^Check: 5\.0 m here, 12\.0 m known: 58 % off/ })).toBeVisible();
    await page.getByRole('button', { name: 'On to clarity' }).click();
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
    // By the marks on the bottle instead of by eye: what was touched before does not stand beside it.
    await page.getByLabel('or by the marks on the bottle, %').fill('76');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page
      .getByRole('button', { name: 'Strike Composite to 4.0 m, came up full, raised in 40 s again', exact: true })
      .click();
    await page.getByRole('button', { name: 'misread' }).click();
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
  await context.setGeolocation({ latitude: latitude - 0.01, longitude, accuracy: 5 });
  await page.getByRole('button', { name: 'Which station is here?' }).click();
  await expect(page.getByText(/^No station is known here; .* is the nearest, 1\.\d km N\.$/)).toBeVisible();
});

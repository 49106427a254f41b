// Takes the pictures in docs/screenshots from the demo: node tests/e2e/screenshots.mjs ADDRESS, with a fresh ./start running there.
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { CHROMIUM } from './chromium.mjs';
import { signIn } from './session.mjs';

const address = process.argv[2] ?? 'http://localhost:5080';
const to = (name) => fileURLToPath(new URL(`../../docs/screenshots/${name}.png`, import.meta.url));
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
const desk = { viewport: { width: 1280, height: 800 }, serviceWorkers: 'block', locale: 'en-GB' };
const boat = { ...desk, viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

async function shot(page, name) {
  // Numbers, typefaces and the column have settled.
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(700);
  await page.screenshot({ path: to(name) });
}
async function type(page, question, written) {
  const box = page.getByRole('textbox', { name: question });
  await box.waitFor();
  await box.fill(written);
}
async function write(page, question, written) {
  await type(page, question, written);
  await page.keyboard.press('Enter');
}

const page = await (await browser.newContext(desk)).newPage();
await page.goto(address);
await page.getByRole('button', { name: 'Go in as Ada Fenn' }).waitFor();
await signIn(page.request, address);
await page.goto(`${address}/season`);
await page.getByRole('heading', { name: /Deep Hole, then North Arm/ }).waitFor();
await shot(page, 'season');
await page.goto(`${address}/prepare/2026-08-12/harrowmere`);
await page.getByRole('button', { name: 'Pack for offline' }).waitFor();
await page.getByRole('checkbox', { name: 'bailer' }).click();
await shot(page, 'prepare');
await page.goto(address);
await page
  .getByText(/days ago/)
  .first()
  .waitFor();
await page.locator('main li svg').last().waitFor();
await shot(page, 'stations');
const pick = (on, group, option) => on.getByRole('group', { name: group }).getByText(option, { exact: true }).click();
await page.goto(`${address}/start/HAR-2`);
await page.getByRole('button', { name: 'Begin' }).click();
await page.getByRole('button', { name: 'On to the sounding' }).click();
await write(page, 'How deep', '11.9');
await write(page, /Bea Okafor/, '3.2');
await write(page, /Tomas Reyl/, '3.4');
await page.getByRole('button', { name: 'On to the profile' }).click();
await page.getByRole('button', { name: 'calibrate', exact: true }).click();
await page.getByLabel('It read').fill('98.4');
await pick(page, 'The display now shows', 'mg/L');
await page.getByRole('button', { name: 'Write it down' }).click();
await page.getByRole('textbox', { name: /^Temperature at 0.3 m/ }).waitFor();
for (const [celsius, oxygen] of [
  ['21.8', '8.6'],
  ['21.8', '8.6'],
  ['21.7', '8.6'],
  ['21.6', '8.6'],
  ['21.3', '8.7'],
  ['20.5', '8.9'],
  ['19.6', '9.0'],
  ['18.3', '9.2'],
  ['16.4', '8.9'],
  ['14.9', '8.6'],
  ['13.8', '74.2'],
]) {
  const box = page.getByRole('textbox', { name: /^Temperature at/ });
  const at = await box.getAttribute('aria-label');
  await box.click();
  await page.keyboard.type(celsius);
  await page.keyboard.press('Enter');
  await page.keyboard.type(oxygen);
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: at, exact: true }).waitFor({ state: 'detached' });
  await page.waitForTimeout(200);
}
await page.evaluate(() => scrollTo(0, 0));
await shot(page, 'profile');
await page.goto(`${address}/start/HAR-1`);
await page.getByRole('button', { name: 'Begin' }).click();
await page.getByRole('button', { name: 'On to the sounding' }).click();
await write(page, 'How deep', '102');
await write(page, 'Where was it lost?', '11 3');
await type(page, 'Where did you see it again?', '12 9');
await page.keyboard.press('Enter');
await page.getByRole('button', { name: 'Swap them' }).waitFor();
await page.getByRole('button', { name: 'Swap them' }).click();
await page.getByRole('button', { name: 'On to the composite' }).waitFor();
await page.getByRole('button', { name: 'show the working: Depth to mark' }).click();
await page.keyboard.press('Escape');
await page.getByRole('button', { name: 'On to the composite' }).click();
await pick(page, 'It came up', 'three quarters');
await page.getByRole('button', { name: 'Write it down' }).click();
await page.getByRole('button', { name: 'Fill HAR-1-260812-C1-Q', exact: true }).click();
for (const bottle of ['C1-Q', 'C1R-X']) {
  await page.getByRole('button', { name: `Fill HAR-1-260812-${bottle}`, exact: true }).click();
  await pick(page, /^Rinsed, times/, '1');
  await pick(page, /^Filled:/, 'as asked');
  await pick(page, /^Drops of/, '5');
  await page.getByRole('button', { name: 'Filled, capped, into the cooler' }).click();
  await page.getByRole('button', { name: `Strike HAR-1-260812-${bottle} ✓` }).waitFor();
}
await page.getByRole('button', { name: 'On to leaving' }).click();
await page.getByRole('button', { name: 'End the visit' }).click();
await page.getByRole('link', { name: 'See it in the record' }).waitFor();
await page.getByRole('link', { name: 'See it in the record' }).click();
await page.getByText(/^By year/).waitFor();
await shot(page, 'record');
for (const [path, name, text] of [
  ['/record', 'answers', /murkier/],
  ['/record/HAR-2?of=oxygen', 'oxygen', /Straight between visits/],
  ['/review', 'review', /wait for review/],
  ['/record/report/harrowmere?year=2025', 'report', /went out/],
  ['/workings?of=trophic', 'workings', /oligotrophic/],
]) {
  await page.goto(address + path);
  await page.getByText(text).first().waitFor();
  await page.waitForTimeout(1500);
  await shot(page, name);
}

// What was done at a stream and on a beach, as its visit shows it.
for (const [station, step, series] of [
  ['HAR-3', 'tributary', 'flow'],
  ['SKA-3', 'plastics', 'plastics-sand'],
]) {
  const record = await (await page.request.get(`${address}/api/stations/${station}`)).json();
  const last = record.series.find(({ subject }) => subject === series).points.at(-1).visit;
  await page.goto(`${address}/visit/${last}?step=${step}`);
  await page
    .getByRole('button', { name: /strike/i })
    .first()
    .waitFor();
  await shot(page, step);
}
await page.goto(`${address}/setup/programmes`);
await page.getByRole('button', { name: 'Change Beach bacteria' }).click();
await page.getByRole('button', { name: 'Compose a protocol' }).click();
await page.getByLabel('Name', { exact: true }).fill('Shore birds');
await page.getByLabel('What it is for').fill('How many birds rest at three spots of the shore.');
await page.getByText('some steps are done more than once').click();
await page.getByLabel('One of them is a').fill('spot');
await page.getByLabel('Their names').fill('Reed point\nOld jetty\nGravel bar');
await page.getByLabel('What to do').fill('Count what rests between the marks.');
await page.getByLabel('Why', { exact: true }).fill('The same stretch each time.');
await page.getByLabel('What it asks').fill('Birds');
await page.getByText('Cautions, order, place').click();
await page.getByText('done again for each spot').click();
await page.getByText('water’s edge').click();
await page.getByText('For each spot.').waitFor();
await page.getByRole('button', { name: 'Try it in practice' }).and(page.locator(':enabled')).waitFor();
await page.evaluate(() => scrollTo(0, 0));
await shot(page, 'composer');

const table = [
  'Site,Date,Observer,Depth (m),Secchi (m),Temp (C),TP',
  'North Arm,12/07/1994,Old Hand,0,4.2,20.1,14',
  'North Arm,12/07/1994,Old Hand,2,4.2,19.8,',
  'North Arm,13/06/1995,Old Hand,0,4.8,cold,12',
  'North Arm,18/07/1995,Old Hand,0,4.4,19.6,0.015',
  'North Arm,15/08/1995,Old Hand,0,3.8,21.4,18',
  'North Arm,11/06/1996,Second Hand,0,> 5.1,16.8,13',
  'North Arm,16/07/1996,Second Hand,0,4.1,19.9,15',
  'North Arm,20/08/1996,Second Hand,0,39,20.7,17',
];
await page.goto(`${address}/setup/data/table`);
await page
  .locator('input[type=file]')
  .setInputFiles({ name: 'old years.csv', mimeType: 'text/csv', buffer: Buffer.from(table.join('\n')) });
await page.getByLabel('Unit of TP').selectOption('µg/L as P');
await page.getByText(/^This would bring in/).waitFor();
await page.getByRole('region', { name: 'What comes of it' }).scrollIntoViewIfNeeded();
await page.mouse.wheel(0, 400);
await shot(page, 'table');

// At the bench, then into the ledger and out of it.
const bench = await (await browser.newContext(boat)).newPage();
await signIn(bench.request, address, 'sampler');
await bench.goto(`${address}/bench`);
await bench.getByRole('link', { name: 'Filter HAR-1-260812-F1-E' }).click();
await bench.getByRole('button', { name: 'Swirled: begin' }).click();
await bench.getByRole('button', { name: 'The white one is in' }).click();
await bench.getByRole('button', { name: 'Rinsed', exact: true }).click();
await bench.getByRole('button', { name: '50 mL through' }).click();
await bench.getByText('Fill 1').waitFor();
await shot(bench, 'bench');
await page.goto(`${address}/ledger`);
await page
  .getByText(/days left/)
  .first()
  .waitFor();
await shot(page, 'ledger');
const context = await browser.newContext(boat);
const phone = await context.newPage();
await signIn(phone.request, address, 'sampler');
await phone.goto(address);
await phone
  .getByText(/days ago/)
  .first()
  .waitFor();
await phone.goto(`${address}/start/HAR-2`);
await phone.getByRole('button', { name: 'Begin' }).click();
await phone.getByRole('button', { name: 'On to the sounding' }).click();
await write(phone, 'How deep', '11.9');
await write(phone, /Bea Okafor/, '3.2');
await phone.getByRole('button', { name: '3', exact: true }).waitFor();
await phone.waitForTimeout(1500);
await context.setOffline(true);
await type(phone, /Tomas Reyl/, '3.4');
await shot(phone, 'boat');
await context.setOffline(false);
await phone.getByRole('button', { name: 'Write it down' }).click();
await phone.getByRole('button', { name: 'On to the profile' }).click();
await phone.getByRole('button', { name: 'Next: oxygen' }).waitFor();
for (const [celsius, oxygen] of [
  ['21.8', '8.6'],
  ['21.7', '8.6'],
  ['21.3', '8.7'],
  ['20.6', '8.9'],
]) {
  const at = await phone.getByRole('form', { name: /^Level/ }).getAttribute('aria-label');
  await phone.getByRole('textbox', { name: /^Temperature/ }).fill(celsius);
  await phone.getByRole('button', { name: 'Next: oxygen' }).click();
  await phone.getByRole('textbox', { name: /^Oxygen/ }).fill(oxygen);
  await phone.getByRole('button', { name: /^Write .* down$/ }).click();
  await phone.getByRole('form', { name: at, exact: true }).waitFor({ state: 'detached' });
}
await phone.getByRole('button', { name: 'Live from the sonde' }).click();
await phone.getByText('its display, its cable, its time').click();
await pick(phone, 'Its time runs', '20 times');
await phone.getByText('its display, its cable, its time').click();
await phone.getByRole('button', { name: /^Lower it to/ }).click();
await phone.getByText('Settled.').waitFor();
await phone.getByRole('region', { name: 'Live from the sonde' }).scrollIntoViewIfNeeded();
await shot(phone, 'live');
await phone.evaluate(() => localStorage.setItem('appearance', JSON.stringify({ theme: 'glare' })));
await context.setOffline(false);
await phone.goto(`${address}/start/PEL-1`);
await phone.getByRole('button', { name: 'Begin' }).click();
await phone.getByRole('button', { name: 'On to the sounding' }).click();
await type(phone, 'How deep', '2.5');
await shot(phone, 'glare');
await browser.close();

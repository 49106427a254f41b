// Takes the pictures in docs/screenshots from the demo: node tests/e2e/screenshots.mjs ADDRESS, with a fresh ./start running there.
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { signIn } from './session.mjs';

const address = process.argv[2] ?? 'http://localhost:5080';
const to = (name) => fileURLToPath(new URL(`../../docs/screenshots/${name}.png`, import.meta.url));
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
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
await shot(page, 'sign-in');
await signIn(page.request, address);
await page.goto(`${address}/season`);
await page.getByRole('heading', { name: /Deep Hole, then North Arm/ }).waitFor();
await shot(page, 'season');
// Before anything of the day is done.
const ashore = await (await browser.newContext(boat)).newPage();
await signIn(ashore.request, address, 'sampler');
await ashore.goto(`${address}/season`);
await ashore.getByRole('heading', { name: /Deep Hole, then North Arm/ }).waitFor();
await shot(ashore, 'phone-season');
await page.goto(`${address}/setup/waters/harrowmere`);
await page.getByRole('heading', { name: 'HAR-1 Deep Hole' }).waitFor();
await shot(page, 'water');
await page.goto(`${address}/setup/programmes`);
await page.getByRole('button', { name: 'Change Monthly composite' }).click();
await shot(page, 'programme');
await page.goto(address);
await page.getByText(/days ago/).first().waitFor();
await page.locator('main li svg').last().waitFor();
await shot(page, 'stations');
await page.goto(`${address}/start/HAR-1`);
await page.getByRole('button', { name: 'Begin, sound first' }).click();
await write(page, 'How deep', '102');
await write(page, 'Where was it lost?', '11 3');
await type(page, 'Where did you see it again?', '12 9');
await shot(page, 'visit');
await page.keyboard.press('Enter');
await page.getByRole('button', { name: 'Swap them' }).waitFor();
await shot(page, 'stop');
await page.getByRole('button', { name: 'Swap them' }).click();
await page.getByRole('button', { name: 'On to the composite' }).waitFor();
await page.getByRole('button', { name: 'show the working: Depth to mark' }).click();
await shot(page, 'working');
await page.keyboard.press('Escape');
await page.getByRole('button', { name: 'On to the composite' }).click();
await page.getByRole('button', { name: 'On to leaving' }).click();
await shot(page, 'leaving');
await page.getByRole('button', { name: 'End the visit' }).click();
await page.getByRole('link', { name: 'See it in the record' }).waitFor();
await page.getByText(/Written so far/).first().click();
await shot(page, 'ended');
await page.getByRole('link', { name: 'See it in the record' }).click();
await page.getByRole('heading', { name: 'By year' }).waitFor();
await shot(page, 'record');
await page.goto(`${address}/record/PEL-1`);
await page.getByRole('heading', { name: 'By year' }).waitFor();
await shot(page, 'record-censored');

const context = await browser.newContext(boat);
const phone = await context.newPage();
await signIn(phone.request, address, 'sampler');
await phone.goto(address);
await phone.getByText(/days ago/).first().waitFor();
await phone.goto(`${address}/start/HAR-2`);
await phone.getByRole('button', { name: 'Begin, sound first' }).click();
await write(phone, 'How deep', '11.9');
await write(phone, /Bea Okafor/, '3.2');
await phone.getByRole('button', { name: '3', exact: true }).waitFor();
await phone.waitForTimeout(1500);
await context.setOffline(true);
await type(phone, /Tomas Reyl/, '3.4');
await shot(phone, 'boat');
await phone.getByRole('button', { name: 'Write it down' }).click();
await phone.getByRole('button', { name: 'On to the composite' }).waitFor();
await shot(phone, 'boat-result');
await phone.evaluate(() => localStorage.setItem('appearance', JSON.stringify({ theme: 'glare' })));
await context.setOffline(false);
await phone.goto(`${address}/start/PEL-1`);
await phone.getByRole('button', { name: 'Begin, sound first' }).click();
await type(phone, 'How deep', '2.5');
await shot(phone, 'glare');
await phone.goto(`${address}/record/HAR-1`);
await phone.getByRole('heading', { name: 'By year' }).waitFor();
await shot(phone, 'record-phone');
await browser.close();

import { createHmac } from 'node:crypto';
import { Person } from './person';
import { expect, test } from './server';
import { DEMO_PASSWORD } from './session.mjs';

test('the demo is entered with one touch, and left again', { tag: '@boat' }, async ({ page, server }) => {
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: 'Who is at the water?' })).toBeVisible();
  await page.getByRole('button', { name: 'Go in as Asa Lindqvist' }).click();
  await expect(page.getByRole('heading', { name: 'Pell Tarn, Middle' })).toBeVisible();

  await page.getByRole('button', { name: 'You and this device' }).click();
  await page.getByRole('button', { name: 'Sign out on this device' }).click();
  await expect(page.getByRole('heading', { name: 'Who is at the water?' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Pell Tarn, Middle' })).toHaveCount(0);
});

test('a reader sees the waters that are theirs, and no button that is not', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('reader');
  await expect(page.getByRole('heading', { name: 'Harrowmere, Deep Hole' })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Start a visit' })).toHaveCount(0);
});

test('a sign-in that lapses on the water loses nothing and asks on delivery', { tag: '@boat' }, async ({
  page,
  server,
  context,
}) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Pell Tarn, Middle');
  await expect(page.getByRole('status')).toHaveText('all sent');

  await context.clearCookies();
  await person.answers('How deep is it here?', '2.5');
  await expect(page.getByText('The sign-in of Asa Lindqvist has lapsed.')).toBeVisible();
  await expect(page.getByRole('status')).toContainText('1 on this device only');
  await expect(person.question('Where was it lost?')).toBeVisible();

  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('One entry waits on this device.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Sign-in name' }).fill('sampler');
  await page.getByLabel('Password').fill(DEMO_PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('status')).toHaveText('all sent');
  const sent = await server.get<{ kind: string; by: string }[]>(`/api/visits/${person.visit()}/entries`);
  expect(sent.map(({ kind, by }) => `${kind} by ${by}`)).toEqual(['visit-started by Asa Lindqvist', 'sounding by Asa Lindqvist']);
});

test('what one person wrote on a shared device waits for them, is not the next one’s to see, and can be saved', async ({
  page,
  server,
}) => {
  const person = new Person(page, server.address);
  const status = page.getByRole('status').first();
  const signsOut = async () => {
    await page.getByRole('button', { name: 'You and this device' }).click();
    await page.getByRole('button', { name: 'Sign out on this device' }).click();
    await expect(page.getByRole('heading', { name: 'Who is at the water?' })).toBeVisible();
  };
  await person.opens('sampler');
  await person.starts('Pell Tarn, Middle');
  await expect(status).toHaveText('all sent');
  // A harbour’s network that opens connections and lets nothing through.
  await page.route('**/api/entries', (route) => route.abort());
  await person.answers('How deep is it here?', '2.5');
  await expect(status).toContainText('1 on this device only');
  const visit = person.visit();
  await signsOut();

  await page.unroute('**/api/entries');
  await page.getByRole('button', { name: 'Go in as Ivo Strand' }).click();
  await expect(status).toContainText('1 on this device only');
  await page.getByRole('button', { name: 'Entries on this device' }).click();
  await expect(page.getByText('1 entry of Asa Lindqvist waits for their sign-in on this device.')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save what waits' }).click();
  const file = await (await download).path();
  await page.getByLabel('Bring in a saved file…').setInputFiles(file);
  await expect(page.getByText(/^Everything in .* is here already\.$/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('link', { name: /^Go on/ })).toHaveCount(0);
  expect(await server.get<unknown[]>(`/api/visits/${visit}/entries`)).toHaveLength(1);
  await signsOut();

  await page.getByRole('button', { name: 'Go in as Asa Lindqvist' }).click();
  await expect(status).toHaveText('all sent');
  await expect.poll(async () => (await server.get<unknown[]>(`/api/visits/${visit}/entries`)).length).toBe(2);
});

test('someone invited chooses a password and sees what they may', async ({ page, server, browser }) => {
  const coordinator = new Person(page, server.address);
  await coordinator.opens();
  await page.goto(`${server.address}/setup/people`);
  await page.getByRole('button', { name: 'Add a person' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Wren Talbot');
  await page.getByLabel('Sign-in name').fill('wren');
  await page.getByRole('radio', { name: 'only these:' }).check();
  await page.getByRole('checkbox', { name: 'Harrowmere' }).check();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('wren · Sampler on Harrowmere · has not come in yet')).toBeVisible();
  await page.getByRole('button', { name: 'Make the link to come in' }).click();
  const link = await page.getByLabel('Hand this link to Wren Talbot').inputValue();

  const own = await browser.newContext({ serviceWorkers: 'block' });
  const newcomer = await own.newPage();
  await newcomer.goto(link);
  await newcomer.getByLabel('Password').fill('short');
  await newcomer.getByRole('button', { name: 'Go in' }).click();
  await expect(newcomer.getByRole('alert')).toContainText('at least 10 characters');
  await newcomer.getByLabel('Password').fill('four plain words here');
  await newcomer.getByRole('button', { name: 'Go in' }).click();
  await expect(newcomer.getByRole('heading', { name: 'Harrowmere, Deep Hole' })).toBeVisible();
  await expect(newcomer.getByRole('heading', { name: 'Pell Tarn, Middle' })).toHaveCount(0);
  await newcomer.goto(link);
  await newcomer.getByLabel('Password').fill('four plain words here');
  await newcomer.getByRole('button', { name: 'Go in' }).click();
  await expect(newcomer.getByRole('alert')).toContainText('This link has been used or is too old.');
  await own.close();
});

test('a coordinator brings in what a sampler’s device had saved, and the record says through whom it came', async ({
  page,
  server,
  browser,
}) => {
  const sampler = new Person(page, server.address);
  await sampler.opens('sampler');
  await sampler.starts('Pell Tarn, Middle');
  await expect(page.getByRole('status').first()).toHaveText('all sent');
  await page.route('**/api/entries', (route) => route.abort());
  await sampler.answers('How deep is it here?', '2.5');
  await expect(page.getByRole('status').first()).toContainText('1 on this device only');
  await page.getByRole('button', { name: 'Entries on this device' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save what waits' }).click();
  const file = await (await download).path();

  const office = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await new Person(office, server.address).opens();
  await office.getByRole('button', { name: 'Entries on this device' }).click();
  await office.getByLabel('Bring in a saved file…').setInputFiles(file);
  await office.getByRole('button', { name: 'Deliver them for Asa Lindqvist' }).click();
  await expect(office.getByRole('status').first()).toHaveText('all sent');
  await expect(async () => {
    const sent = await server.get<{ by: string; receipt: { deliveredBy: string } }[]>(`/api/visits/${sampler.visit()}/entries`);
    expect(sent.map(({ by, receipt }) => `${by} through ${receipt.deliveredBy}`)).toEqual([
      'Asa Lindqvist through Asa Lindqvist',
      'Asa Lindqvist through Ada Fenn',
    ]);
  }).toPass();
  await office.goto(`${server.address}/review/${sampler.visit()}`);
  await expect(office.getByText('1 entry of Asa Lindqvist came through Ada Fenn.')).toBeVisible();
  await office.context().close();
});

/** RFC 6238, as an app works it out; `ahead` steps of half a minute from now. */
function totp(secret: string, ahead = 0): string {
  const bits = [...secret.replaceAll(' ', '')]
    .map((c) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(c).toString(2).padStart(5, '0'))
    .join('');
  const key = Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => Number.parseInt(byte, 2)));
  const step = Buffer.alloc(8);
  step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000) + ahead));
  const hash = createHmac('sha1', new Uint8Array(key)).update(new Uint8Array(step)).digest();
  const at = (hash.at(-1) ?? 0) & 0xf;
  return String((hash.readUInt32BE(at) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

test('with a second factor the sign-in asks for the code of the app', async ({ page, server, browser }) => {
  await new Person(page, server.address).opens();
  await page.getByRole('button', { name: 'You and this device' }).click();
  await page.getByRole('link', { name: 'Your account' }).click();
  await page.getByRole('button', { name: 'Set it up…' }).click();
  const secret = (await page.locator('p.num').first().textContent()) ?? '';
  await page.getByLabel('Six digits of the app').fill('000');
  await page.getByRole('button', { name: 'Ask for it from now on' }).click();
  await expect(page.getByRole('alert')).toContainText('This code does not fit.');
  await page.getByLabel('Six digits of the app').fill(totp(secret));
  await page.getByRole('button', { name: 'Ask for it from now on' }).click();
  await expect(page.getByText('Write these down now; they are not shown again.')).toBeVisible();
  await expect(page.getByText('10 recovery codes are left.')).toBeVisible();

  const other = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await other.goto(server.address);
  await other.getByRole('textbox', { name: 'Sign-in name' }).fill('coordinator');
  await other.getByLabel('Password').fill(DEMO_PASSWORD);
  await other.getByRole('button', { name: 'Sign in' }).click();
  await other.getByLabel('Second factor').fill(totp(secret, 1));
  await other.getByRole('button', { name: 'Sign in' }).click();
  await expect(other.getByRole('heading', { name: 'Where are you going?' })).toBeVisible();
  await other.context().close();

  // The device that set it up is still signed in, and its writes go through.
  await page.getByLabel('Your password, to take it away').fill(DEMO_PASSWORD);
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByRole('button', { name: 'Set it up…' })).toBeVisible();
});

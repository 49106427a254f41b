import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { earlierBuild } from './earlierBuild';
import { Person } from './person';
import { APP, test as base, expect, RealServer } from './server';

const test = base.extend<{ earlier: string; updated: RealServer }>({
  // biome-ignore lint/correctness/noEmptyPattern: the fixture depends on nothing
  earlier: async ({}, use) => {
    const app = earlierBuild(APP);
    await use(app);
    rmSync(app, { recursive: true });
  },
  updated: async ({ earlier }, use) => {
    const server = await RealServer.start({ app: earlier, base: '/lakes/upper-still' });
    await use(server);
    await server.end();
  },
});
test.use({ serviceWorkers: 'allow' });

/** What is fetched only when a visit has ended. */
const chunk = (app: string) => readdirSync(join(app, 'wwwroot', 'assets')).find((name) => name.startsWith('ClosedSheet-')) ?? '';

/** Whether the device keeps a file for when there is no signal. */
const keeps = (page: Page, file: string) =>
  page.evaluate(async (name) => {
    const kept = await Promise.all((await caches.keys()).map(async (cache) => (await caches.open(cache)).keys()));
    return kept.flat().some(({ url }) => url.endsWith(name));
  }, file);

test('in a folder of its name the application is updated while entries wait: all arrive, and the visit goes on where it was', {
  tag: '@boat',
}, async ({ page, context, earlier, updated: server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.waitsForOffline();
  await person.starts('Harrowmere, Deep Hole');
  await context.setOffline(true);
  await person.answers('How deep is it here?', '102');
  await expect(page.getByRole('status').first()).toContainText('1 on this device only');

  // A page of the earlier build delivers to the new server.
  await server.becomes(APP);
  await context.setOffline(false);
  await expect(page.getByRole('status').first()).toHaveText('all sent', { timeout: 30_000 });

  // The device fetches the new build beside the page that stands, and forgets the old.
  await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
  await expect.poll(() => keeps(page, chunk(APP)), { timeout: 30_000 }).toBe(true);
  await expect.poll(() => keeps(page, chunk(earlier)), { timeout: 30_000 }).toBe(false);

  // What the browser may have kept besides is not to be counted on. A session left open would hide the signal from the page.
  const session = await context.newCDPSession(page);
  await session.send('Network.clearBrowserCache');
  await session.detach();

  // With no signal that page goes to steps and pages that it has not got any more.
  await server.kill();
  await context.setOffline(true);
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');
  await page.getByRole('button', { name: 'On to leaving' }).click();
  const visit = person.visit();
  await person.ends();
  await expect(page.getByRole('region', { name: 'Field sheet' })).toBeAttached();
  await page.getByRole('link', { name: 'See it in the record' }).click();
  await expect(page.getByRole('heading', { name: 'Clear to 12 ft 0 in at Deep Hole on 12 August 2026.' })).toBeVisible();

  await person.comesBack(server);
  await expect
    .poll(async () => (await server.get<{ kind: string }[]>(`/api/visits/${visit}/entries`)).map(({ kind }) => kind))
    .toEqual(['visit-started', 'sounding', 'disc-mark', 'disc-mark', 'visit-closed']);
});

import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, chromium, devices } from '@playwright/test';
import { CHROMIUM } from './chromium.mjs';
import { Person } from './person';
import { ProtocolDay } from './protocolDay';
import { expect, test } from './server';

const rinses = (context: BrowserContext) => {
  const page = context.pages()[0];
  if (!page) {
    throw new Error('A browser begins with a page.');
  }
  return { page, box: page.getByRole('group', { name: 'Rinsed with the same water' }) };
};

test('a device that dies at the second rinse knows of both', { tag: '@boat' }, async ({ server }) => {
  const profile = mkdtempSync(join(tmpdir(), 'upper-still-death-'));
  const opens = () =>
    chromium.launchPersistentContext(profile, {
      executablePath: CHROMIUM,
      args: ['--no-sandbox', '--disable-gpu', '--js-flags=--liftoff-only'],
      serviceWorkers: 'block',
      timezoneId: 'Europe/London',
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
      userAgent: devices['Pixel 7'].userAgent,
    });
  let context = await opens();
  try {
    const { page, box } = rinses(context);
    const person = new Person(page, server.address);
    await person.opens('sampler');
    await person.startsAt('Skarn Sound, Pier head');
    await person.begins(['seawater bottle']);
    await person.goes('Seawater bottle');
    await new ProtocolDay(page).does(['Number of the bottle', 'SW8124']);
    const one = box.getByRole('button', { name: 'One more' });
    await one.click();
    await one.click();
    await expect(box.getByText(/^2\s*of 3$/)).toBeVisible();
    const visit = page.url();

    // As a battery that is empty: nobody has the time to put anything away.
    execFileSync('pkill', ['-9', '-f', profile]);
    await expect.poll(() => context.pages().length).toBe(0);
    context = await opens();
    const after = rinses(context);
    await new Person(after.page, server.address).opens('sampler');
    await after.page.goto(visit);
    await expect(after.box.getByText(/^2\s*of 3$/)).toBeVisible();
  } finally {
    await context.close().catch(() => undefined);
    rmSync(profile, { recursive: true, force: true });
  }
});

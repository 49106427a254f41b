import { defineConfig, devices } from '@playwright/test';
import { CHROMIUM } from './chromium.mjs';

const browser = {
  browserName: 'chromium' as const,
  timezoneId: 'Europe/London',
  locale: 'en-GB',
  screenshot: 'only-on-failure' as const,
  // Only the offline stories need it; elsewhere it would fetch everything again for each test.
  serviceWorkers: 'block' as const,
  launchOptions: {
    executablePath: CHROMIUM,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      // Each test compiles the core anew; to compile it twice, the second time for speed, takes longer than it saves.
      '--js-flags=--liftoff-only',
    ],
  },
};

/** The real interface against the real server and database, at the desk and on the boat. */
export default defineConfig({
  testDir: '.',
  globalSetup: './global-setup.ts',
  outputDir: 'test-results',
  workers: 2,
  // The second try only tells a fault that comes and goes from one that stays; ./test names it, and fails.
  retries: 1,
  failOnFlakyTests: true,
  timeout: 150_000,
  // A machine that others share may stand still for half a minute.
  expect: { timeout: 45_000 },
  reporter: process.env.E2E_JSON ? [['json', { outputFile: process.env.E2E_JSON }], ['line']] : 'line',
  projects: [
    // Tests of the water, the bench and whatever is laid out otherwise run on the boat, or on both; the rest at the desk alone.
    { name: 'desk', grepInvert: /@boat/, use: { ...browser, viewport: { width: 1280, height: 800 } } },
    {
      name: 'boat',
      grep: /@boat|@both/,
      use: {
        ...browser,
        viewport: { width: 390, height: 844 },
        hasTouch: true,
        isMobile: true,
        userAgent: devices['Pixel 7'].userAgent,
      },
    },
  ],
});

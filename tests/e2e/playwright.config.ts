import { defineConfig, devices } from '@playwright/test';

const browser = {
  browserName: 'chromium' as const,
  timezoneId: 'Europe/London',
  locale: 'en-GB',
  screenshot: 'only-on-failure' as const,
  // Only the offline stories need it; elsewhere it would fetch everything again for each test.
  serviceWorkers: 'block' as const,
  launchOptions: {
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  },
};

/** The real interface against the real server and database, at the desk and on the boat. */
export default defineConfig({
  testDir: '.',
  globalSetup: './global-setup.ts',
  outputDir: 'test-results',
  workers: 2,
  // A busy machine may lose one touch; ./test names every test that needed its second try.
  retries: 1,
  timeout: 60_000,
  expect: { timeout: 15_000 },
  reporter: process.env.E2E_JSON ? [['json', { outputFile: process.env.E2E_JSON }], ['line']] : 'line',
  projects: [
    { name: 'desk', use: { ...browser, viewport: { width: 1280, height: 800 } } },
    {
      name: 'boat',
      // What is typed is the desk's; the boat has keys for digits.
      testIgnore: '**/*.desk.spec.ts',
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

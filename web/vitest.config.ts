import { defineConfig } from 'vitest/config';

// Beside the ports that the harness and the end-to-end tests take.
const port = 12_000 + (process.pid % 2_000);
process.env.SCREENS_PORT = String(port);

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'units',
          include: ['src/**/*.test.ts'],
          exclude: ['src/**/*.screen.test.ts'],
          setupFiles: ['src/test-setup.ts'],
        },
      },
      {
        test: {
          name: 'screens',
          include: ['src/**/*.screen.test.ts'],
          environment: 'jsdom',
          environmentOptions: { jsdom: { url: `http://127.0.0.1:${port}/` } },
          globalSetup: ['src/testing/server.mjs'],
          setupFiles: ['src/testing/screens.ts'],
          testTimeout: 60_000,
          // One device after the other: the core and the page's modules are read once for all.
          isolate: false,
          fileParallelism: false,
        },
      },
    ],
  },
});

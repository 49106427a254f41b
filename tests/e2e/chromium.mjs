import { existsSync } from 'node:fs';

/** The browser of the system: without a window where it has one of that kind, which needs a sixth less of the processor. */
export const CHROMIUM =
  process.env.CHROMIUM ??
  ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((path) => existsSync(path)) ??
  'chromium';

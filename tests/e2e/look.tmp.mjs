import { chromium } from '@playwright/test';
import { signIn } from './session.mjs';
const [address, out, ...paths] = process.argv.slice(2);
const size = process.env.SIZE === 'phone' ? { width: 390, height: 844 } : { width: 1280, height: 800 };
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
const context = await browser.newContext({ viewport: size, serviceWorkers: 'block' });
await signIn(context.request, address, process.env.WHO ?? 'coordinator');
const page = await context.newPage();
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text().slice(0, 300)));
page.on('pageerror', (e) => console.log('error:', e.message.slice(0, 300)));
await page.goto(`${address}/`);
await page.waitForTimeout(4000);
let i = 0;
for (const path of paths) {
  const t = Date.now();
  await page.goto(address + path);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(Number(process.env.WAIT ?? 2500));
  await page.screenshot({ path: `${out}-${i++}.png`, fullPage: process.env.FULL === '1' });
  console.log(path, Date.now() - t);
}
await browser.close();

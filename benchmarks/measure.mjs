// Measures what the design sets budgets for, on this machine, with the demo. Run by ./bench.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync, statSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';

import { signIn } from '../tests/e2e/session.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const { chromium } = createRequire(join(root, 'tests/e2e/package.json'))('@playwright/test');
const app = join(root, 'artifacts/app');
const port = 20000 + Math.floor(Math.random() * 20000);
const address = `http://localhost:${port}`;
const data = mkdtempSync(join(tmpdir(), 'upper-still-bench-'));
const rows = [];
const row = (what, value, budget, unit) => rows.push({ what, measured: `${value} ${unit}`, budget: budget === null ? '–' : `${budget} ${unit}`, kept: budget === null ? '' : value <= budget ? 'yes' : 'NO' });
const median = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];
const round = (value, digits = 0) => Number(value.toFixed(digits));

function start() {
  const began = performance.now();
  const server = spawn('dotnet', ['UpperStill.Server.dll', '--urls', address, '--data', data, '--demo', 'true'], { cwd: app, stdio: 'ignore' });
  process.on('exit', () => server.kill('SIGKILL'));
  return (async () => {
    for (;;) {
      try {
        await (await fetch(`${address}/api/instance`)).text();
        return { server, ms: performance.now() - began };
      } catch {
        await new Promise((again) => setTimeout(again, 20));
      }
    }
  })();
}
const stop = (server) => new Promise((gone) => (server.once('exit', gone), server.kill('SIGKILL')));

// Sizes, as the server sends them.
const framework = join(app, 'wwwroot/core/_framework');
const compressed = (folder, pick) =>
  readdirSync(folder).filter(pick).reduce((sum, name) => sum + brotliCompressSync(readFileSync(join(folder, name))).length, 0);
row('WebAssembly and its loader, brotli', round(compressed(framework, (n) => /\.(wasm|js)$/.test(n)) / 1e6, 2), 1.8, 'MB');
row('application script at first load, brotli', round(compressed(join(app, 'wwwroot/assets'), (n) => n.endsWith('.js')) / 1e3), 250, 'kB');
row('styles, brotli', round(compressed(join(app, 'wwwroot/assets'), (n) => n.endsWith('.css')) / 1e3), null, 'kB');
row('typefaces', round(readdirSync(join(app, 'wwwroot/assets')).filter((n) => n.endsWith('.woff2')).reduce((s, n) => s + statSync(join(app, 'wwwroot/assets', n)).size, 0) / 1e3), null, 'kB');

const first = await start();
row('start with an empty folder, demo made', round(first.ms / 1000, 2), null, 's');
await stop(first.server);
const second = await start();
row('start with an existing database', round(second.ms / 1000, 2), 3, 's');

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
// The first useful screen: the stations with the last clarity of each, worked out on the device.
const useful = async (page) => {
  const began = performance.now();
  await page.goto(address, { waitUntil: 'commit' });
  await page.getByText(/days ago|yesterday/).first().waitFor();
  return performance.now() - began;
};
const cold = [];
const warm = [];
let page;
for (let i = 0; i < 5; i++) {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  page = await context.newPage();
  await signIn(context.request, address);
  cold.push(await useful(page));
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.waitForTimeout(500);
  warm.push(await useful(page));
  if (i < 4) {
    await context.close();
  }
}
row('first useful screen, cold (median of 5)', round(median(cold) / 1000, 2), 2, 's');
row('first useful screen, from the cache (median of 5)', round(median(warm) / 1000, 2), 0.7, 's');

// From Enter to the answer drawn: checked, written to the device, folded, rendered.
await page.setViewportSize({ width: 1280, height: 800 });
await page.goto(`${address}/start/HAR-1`);
await page.getByRole('button', { name: 'Begin, sound first' }).click();
await page.getByRole('textbox', { name: 'How deep' }).waitFor();
const drawn = (written, sign) =>
  page.evaluate(
    async ([text, expected]) => {
      const box = document.querySelector('form input');
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(box, text);
      box.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise((idle) => setTimeout(idle, 300));
      const began = performance.now();
      box.form.requestSubmit();
      await new Promise((done) => {
        const look = () => (document.querySelector('main').innerText.includes(expected) ? done() : requestAnimationFrame(look));
        look();
      });
      return performance.now() - began;
    },
    [written, sign],
  );
const folds = [];
folds.push(await drawn('102', 'Where was it lost?'));
for (let i = 0; i < 8; i++) {
  folds.push(await drawn('12 9', 'Where did you see it again?'));
  folds.push(await drawn('11 3', 'MARK FOR THE COMPOSITE'));
  for (const mark of ['12 ft 9 in', '11 ft 3 in']) {
    await page.getByRole('button', { name: new RegExp(`^Strike .*${mark}$`) }).click();
    await page.getByRole('button', { name: 'misread mark' }).click();
    await page.getByRole('button', { name: 'Strike it' }).click();
  }
  await page.getByRole('textbox', { name: 'Where was it lost?' }).waitFor();
}
row(`an entry written, folded and drawn (median of ${folds.length})`, round(median(folds)), 50, 'ms');
row('the slowest of them', round(Math.max(...folds)), null, 'ms');

const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
const times = async (path, count) => {
  const all = [];
  for (let i = 0; i < count; i++) {
    const began = performance.now();
    await (await fetch(address + path, { headers: { cookie } })).arrayBuffer();
    all.push(performance.now() - began);
  }
  return round(all.toSorted((a, b) => a - b)[Math.floor(count * 0.95)], 1);
};
row('GET /api/stations on the demo, 95th percentile', await times('/api/stations', 200), 100, 'ms');
row('GET /api/stations/HAR-1 on the demo, 95th percentile', await times('/api/stations/HAR-1', 200), 100, 'ms');
// A year of 300 stations, each with a fortnight's rhythm, monthly samples and a lab's hours.
const asker = page.context().request;
const { token } = await (await asker.get(`${address}/api/session`)).json();
const headers = { 'X-Upper-Still': token };
for (let i = 0; i < 300; i++) {
  const station = {
    code: `BEN-${i}`, waterCode: 'harrowmere', water: '', district: '', name: `Bench ${i}`, knownDepth: { written: '20', unit: 'm' },
    latitudeDeg: 51.9135 + (i % 20) * 1e-5, longitudeDeg: -21.4415 + i * 1e-6,
  };
  const answer = await asker.put(`${address}/api/stations/${station.code}`, { headers, data: { station, programme: 'monthly-composite', weekdays: [i % 7] } });
  if (!(await answer.json()).kept) {
    throw new Error(`Station ${i} was not kept.`);
  }
}
row('season of 305 stations planned and sent, 95th percentile', await times('/api/season', 20), 1000, 'ms');
row('server, resident', round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${second.server.pid}/status`, 'utf8'))[1]) / 1024), 300, 'MB');

await browser.close();
await stop(second.server);
rmSync(data, { recursive: true, force: true });
console.table(rows);

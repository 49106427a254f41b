// Measures what the design sets budgets for, on this machine, with the demo. Run by ./bench.
import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';

import { CHROMIUM } from '../tests/e2e/chromium.mjs';
import { signIn } from '../tests/e2e/session.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const { chromium } = createRequire(join(root, 'tests/e2e/package.json'))('@playwright/test');
const app = join(root, 'artifacts/app');
const port = 20000 + Math.floor(Math.random() * 20000);
const address = `http://localhost:${port}`;
const data = mkdtempSync(join(tmpdir(), 'upper-still-bench-'));
const rows = [];
const row = (what, value, budget, unit) =>
  rows.push({
    what,
    measured: `${value} ${unit}`,
    budget: budget === null ? '–' : `${budget} ${unit}`,
    kept: budget === null ? '' : value <= budget ? 'yes' : 'NO',
  });
const median = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];
const round = (value, digits = 0) => Number(value.toFixed(digits));

function start() {
  const began = performance.now();
  const server = spawn('dotnet', ['UpperStill.Server.dll', '--urls', address, '--data', data, '--demo', 'true'], {
    cwd: app,
    stdio: 'ignore',
  });
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
const stop = (server) =>
  new Promise((gone) => {
    server.once('exit', gone);
    server.kill('SIGKILL');
  });

// Sizes, as the server sends them.
const framework = join(app, 'wwwroot/core/_framework');
const compressed = (folder, pick) =>
  readdirSync(folder)
    .filter(pick)
    .reduce((sum, name) => sum + brotliCompressSync(readFileSync(join(folder, name))).length, 0);
row('WebAssembly and its loader, brotli', round(compressed(framework, (n) => /\.(wasm|js)$/.test(n)) / 1e6, 2), 1.8, 'MB');
const loaded = [...readFileSync(join(app, 'wwwroot/index.html'), 'utf8').matchAll(/assets\/([^"]+\.js)/g)].map(
  ([, name]) => name,
);
row(
  'application script at first load, brotli',
  round(compressed(join(app, 'wwwroot/assets'), (n) => loaded.includes(n)) / 1e3),
  250,
  'kB',
);
row(
  '… with every page that can follow',
  round(compressed(join(app, 'wwwroot/assets'), (n) => n.endsWith('.js')) / 1e3),
  null,
  'kB',
);
row('styles, brotli', round(compressed(join(app, 'wwwroot/assets'), (n) => n.endsWith('.css')) / 1e3), null, 'kB');
row(
  'typefaces',
  round(
    readdirSync(join(app, 'wwwroot/assets'))
      .filter((n) => n.endsWith('.woff2'))
      .reduce((s, n) => s + statSync(join(app, 'wwwroot/assets', n)).size, 0) / 1e3,
  ),
  null,
  'kB',
);

const first = await start();
row('start with an empty folder, demo made', round(first.ms / 1000, 2), null, 's');
await stop(first.server);
const second = await start();
row('start with an existing database', round(second.ms / 1000, 2), 3, 's');

const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
// The first useful screen: the stations with the last clarity of each, worked out on the device.
const useful = async (page) => {
  const began = performance.now();
  await page.goto(address, { waitUntil: 'commit' });
  await page
    .getByText(/days ago|yesterday/)
    .first()
    .waitFor();
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
await page.getByRole('button', { name: 'Begin' }).click();
await page.getByRole('button', { name: 'On to the sounding' }).click();
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
        const look = () => (document.querySelector('main').textContent.includes(expected) ? done() : requestAnimationFrame(look));
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
  folds.push(await drawn('11 3', 'Mark for the composite'));
  for (const mark of ['12 ft 9 in', '11 ft 3 in']) {
    await page.getByRole('button', { name: new RegExp(`^Strike .*${mark}$`) }).click();
    await page.getByRole('button', { name: 'misread' }).click();
    await page.getByRole('button', { name: 'Strike it' }).click();
  }
  await page.getByRole('textbox', { name: 'Where was it lost?' }).waitFor();
}
row(`an entry written, folded and drawn (median of ${folds.length})`, round(median(folds)), 50, 'ms');
row('the slowest of them', round(Math.max(...folds)), null, 'ms');

// A profile of forty levels: sixty entries and more on the page, the next level typed by keyboard.
const asker = page.context().request;
const { token } = await (await asker.get(`${address}/api/session`)).json();
const headers = { 'X-Upper-Still': token };
await page.goto(`${address}/start/HAR-2`);
await page.getByRole('button', { name: 'Begin' }).click();
await page.getByRole('button', { name: 'On to the sounding' }).click();
await page.getByRole('textbox', { name: 'How deep' }).fill('12.0');
await page.keyboard.press('Enter');
await page.getByText('all sent').first().waitFor();
const visit = new URL(page.url()).pathname.split('/')[2];
const entry = (kind, body, i) => ({
  id: `019ff549-0000-7000-8000-${String(i).padStart(12, '0')}`,
  visit,
  kind,
  version: 1,
  body,
  at: `2026-08-12T10:${String(20 + Math.floor(i / 60)).padStart(2, '0')}:${String(i % 60).padStart(2, '0')}+01:00`,
  by: 'Ada Fenn',
  device: 'bench',
});
const level = (i) => ({
  depth: { written: (Math.floor(i / 4) + 0.2 * (1 + (i % 4))).toFixed(1), unit: 'm' },
  temperature: { written: (21.5 - i * 0.22).toFixed(1), unit: '°C' },
  oxygen: { written: (9 - i * 0.1).toFixed(1), unit: 'mg/L' },
});
await asker.post(`${address}/api/entries`, {
  headers,
  data: {
    sentAt: '2026-08-12T10:30:00+01:00',
    entries: [
      ...Array.from({ length: 40 }, (_, i) => entry('level', level(i), i)),
      ...Array.from({ length: 20 }, (_, i) => entry('conditions', { waves: 1 + (i % 3), people: 2 }, 100 + i)),
      entry(
        'meter-check',
        { meter: 'M-1', expected: { written: '100', unit: '%' }, read: { written: '99', unit: '%' }, display: 'mg/L' },
        200,
      ),
    ],
  },
});
await page.goto(`${address}/visit/${visit}?step=profile`);

await page.waitForFunction(() => document.querySelectorAll('table button[aria-label$="read again or strike"]').length >= 40);
const typed = async () => {
  const all = [];
  for (let i = 0; i < 5; i++) {
    const boxes = page.getByRole('textbox', { name: /^Temperature at/ });
    await boxes.fill('12.5');
    await page.keyboard.press('Enter');
    await page.keyboard.type('6.5');
    await page.waitForTimeout(300);
    all.push(
      await page.evaluate(async () => {
        const count = () => document.querySelectorAll('table button[aria-label$="read again or strike"]').length;
        const before = count();
        const began = performance.now();
        document.activeElement.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
        document.activeElement.closest('form')?.requestSubmit();
        await new Promise((done) => {
          const look = () => (count() > before ? done() : requestAnimationFrame(look));
          look();
        });
        return performance.now() - began;
      }),
    );
  }
  return all.toSorted((a, b) => a - b);
};
const quick = await typed();
row(`a level written, folded and drawn, ${40} levels and 60 entries, median`, round(median(quick)), 50, 'ms');
row('… the slowest of five', round(quick.at(-1)), null, 'ms');
const slow = await page.context().newCDPSession(page);
await slow.send('Emulation.setCPUThrottlingRate', { rate: 4 });
row('… with the processor slowed four times, median', round(median(await typed())), null, 'ms');
await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 });
await slow.detach();

// A logged cast of a hundred thousand rows, from the choice of the file to the levels on the page.
const log = ['Date,Time,Depth (m),Temp (C),ODO (mg/L),SpCond (uS/cm),pH'];
for (let i = 0; i < 100_000; i++) {
  const depth = i < 80_000 ? (i / 80_000) * 11.4 : 11.4 - ((i - 80_000) / 20_000) * 11.4;
  log.push(`2026-08-12,10:01:02,${depth.toFixed(3)},${(21.5 - depth).toFixed(2)},${(9 - depth / 2).toFixed(2)},214,8.21`);
}
await page.goto(`${address}/start/HAR-2`);
await page.getByRole('button', { name: 'Begin' }).click();
await page.getByRole('heading', { name: 'Arrive' }).waitFor();
await page.goto(`${page.url().split('?')[0]}?step=profile`);
await page.getByRole('button', { name: 'From the meter’s memory' }).waitFor();
const logged = Buffer.from(log.join('\n'));
const chose = performance.now();
await page.getByLabel('File of a logged cast').setInputFiles({ name: 'cast.csv', mimeType: 'text/csv', buffer: logged });
await page.getByRole('button', { name: /^Write \d+ levels/ }).waitFor();
row('a logged cast of 100 000 rows read on the device', round((performance.now() - chose) / 1000, 2), 2, 's');

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
for (let i = 0; i < 300; i++) {
  const station = {
    code: `BEN-${i}`,
    waterCode: 'harrowmere',
    water: '',
    district: '',
    name: `Bench ${i}`,
    knownDepth: { written: '20', unit: 'm' },
    latitudeDeg: 51.9135 + (i % 20) * 1e-5,
    longitudeDeg: -11.4415 + i * 1e-6,
  };
  const answer = await asker.post(`${address}/api/stations`, {
    headers,
    data: { station, programme: 'monthly-composite', weekdays: [i % 7] },
  });
  if (!(await answer.json()).kept) {
    throw new Error(`Station ${i} was not kept.`);
  }
}
const planned = [];
for (let i = 0; i < 20; i++) {
  const season = await asker.get(`${address}/api/season`);
  const answered = season.headers();
  planned.push(Number(/dur=([\d.]+)/.exec(answered['server-timing'])[1]));
}
row('season of 305 stations, the planner alone, 95th percentile', planned.toSorted((a, b) => a - b)[18], 1000, 'ms');
row('… gathered, planned and sent', await times('/api/season', 20), null, 'ms');
row('an outing prepared, 95th percentile', await times('/api/outings/2026-08-12/skarn-sound', 20), null, 'ms');
row(
  'server, resident',
  round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${second.server.pid}/status`, 'utf8'))[1]) / 1024),
  300,
  'MB',
);

await browser.close();
await stop(second.server);
rmSync(data, { recursive: true, force: true });
console.table(rows);

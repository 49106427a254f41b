// Measures the record of a large made-up network beside the budgets: node benchmarks/network.mjs FOLDER, after
// benchmarks/UpperStill.Network made its database there. Run by ./bench network.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { signIn } from '../tests/e2e/session.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const { request } = createRequire(join(root, 'tests/e2e/package.json'))('@playwright/test');
const [folder, stations = '2000'] = process.argv.slice(2);
const address = `http://localhost:${20000 + Math.floor(Math.random() * 20000)}`;
const rows = [];
const row = (what, value, budget, unit) =>
  rows.push({
    what,
    measured: `${value} ${unit}`,
    budget: budget === null ? '–' : `${budget} ${unit}`,
    kept: budget === null ? '' : value <= budget ? 'yes' : 'NO',
  });

const server = spawn('dotnet', ['UpperStill.Server.dll', '--urls', address, '--data', folder, '--demo', 'true'], {
  cwd: join(root, 'artifacts/app'),
  stdio: 'ignore',
});
process.on('exit', () => server.kill('SIGKILL'));
const began = performance.now();
for (;;) {
  try {
    await (await fetch(`${address}/api/instance`)).text();
    break;
  } catch {
    await new Promise((again) => setTimeout(again, 20));
  }
}
row('start with that database', Number(((performance.now() - began) / 1000).toFixed(2)), 3, 's');
const http = await request.newContext({ timeout: 600_000 });
await signIn(http, address);
const resident = () => Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1]) / 1000);

let seed = 7;
function any(most) {
  seed = (seed * 48271) % 2147483647;
  return seed % most;
}
// A server that has just started compiles what it is asked for the first time; a season is not its first minute.
const WARM = 5;
async function times(path, count = 100) {
  const taken = [];
  for (let i = -WARM; i < count; i++) {
    const at = performance.now();
    const answer = await http.get(address + path(any(Number(stations))));
    await answer.body();
    if (!answer.ok()) {
      throw new Error(`${path(0)} gave ${answer.status()}`);
    }
    if (i >= 0) {
      taken.push(performance.now() - at);
    }
  }
  return Number(taken.toSorted((a, b) => a - b)[Math.floor(count * 0.95)].toFixed(0));
}
const code = (n) => `N${String(n).padStart(4, '0')}`;
row('GET a station with its series, 95th percentile', await times((n) => `/api/stations/${code(n)}`), 100, 'ms');
row('GET profiles of a year', await times((n) => `/api/stations/${code(n)}/profiles?year=2020`), 100, 'ms');
row('GET oxygen of a station', await times((n) => `/api/stations/${code(n)}/oxygen`), 100, 'ms');
const water = (n) => `/api/waters/water-${String(Math.floor(n / 4)).padStart(4, '0')}`;
const whole = async (what, path) => row(what, await times(() => path, 40), 100, 'ms');
row('GET answers of a water, four stations, worked out anew', await times((n) => `${water(n)}/answers`, 40), 100, 'ms');
row('GET report of a water, four stations', await times((n) => `${water(n)}/report?year=2020`, 40), 100, 'ms');
await whole('GET the visits that wait for review', '/api/reviews');
await whole('GET all stations', '/api/stations');
const once = async (path) => {
  const at = performance.now();
  const answer = await http.get(address + path);
  const bytes = (await answer.body()).length;
  return { seconds: Number(((performance.now() - at) / 1000).toFixed(2)), bytes };
};
for (const subject of ['clarity', 'chlorophyll', 'bottom-oxygen']) {
  row(`trends of all stations, ${subject}`, (await once(`/api/record/region?subject=${subject}`)).seconds, 10, 's');
}
row('the year across all waters, asked for the first time', (await once('/api/record/summary?year=2020')).seconds, 10, 's');
await whole('GET answers of a water, kept', `${water(17)}/answers`);
await whole('GET trends of all stations, kept', '/api/record/region?subject=clarity');
await whole('GET stations side by side, kept', '/api/record/stations?subject=clarity&year=2020');
await whole('GET the year across all waters, kept', '/api/record/summary?year=2020');
row('a station as a package', (await once(`/api/export?station=${code(17)}`)).seconds, null, 's');
row('server before the whole export', resident(), 300, 'MB');
let most = 0;
const watch = setInterval(() => (most = Math.max(most, resident())), 200);
const everything = await once('/api/export');
clearInterval(watch);
row(`the whole as a package, ${Math.round(everything.bytes / 1e6)} MB`, everything.seconds, null, 's');
row('server during it, at most', most, 300, 'MB');
console.table(rows);
await http.dispose();
process.exit(0);

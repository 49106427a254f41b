// Faults against the published server, counted: node tests/harness/run.mjs [--kills N] [--cuts N] [--full N] [--browser-kills N]
// [--seed N]; Ctrl-C ends it with what it has done. Exit code 1 where anything acknowledged was lost, doubled or altered.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { killBrowsers } from './browser.mjs';
import { Device } from './device.mjs';
import { cutPower } from './powerCut.mjs';
import { randomFrom } from './random.mjs';
import { Server } from './server.mjs';

const LONGEST_WAIT_MS = 10_000;
const { values } = parseArgs({
  options: {
    kills: { type: 'string', default: '3' },
    cuts: { type: 'string', default: '3' },
    full: { type: 'string', default: '1' },
    'browser-kills': { type: 'string', default: '1' },
    seed: { type: 'string' },
  },
});
const seed = Number(values.seed ?? Date.now() % 1_000_000);
const random = randomFrom(seed);
const [kills, cuts, fullDisks, browserKills] = [values.kills, values.cuts, values.full, values['browser-kills']].map(Number);
const built = mkdtempSync(join(tmpdir(), 'upper-still-layer-'));
const layer = join(built, 'cut.so');
execFileSync(process.env.CC ?? 'cc', [
  '-O2',
  '-shared',
  '-fPIC',
  '-o',
  layer,
  fileURLToPath(new URL('cut.c', import.meta.url)),
  '-ldl',
  '-lpthread',
]);

const server = new Server(16_000 + random.below(10_000), layer);
const devices = ['phone', 'tablet'].map((name, i) => new Device(name, server.address, randomFrom(seed + 1 + i)));
const faults = random.shuffled([...Array(kills).fill('kill'), ...Array(cuts).fill('cut'), ...Array(fullDisks).fill('full')]);
const power = { hit: 0, unsynced: 0, dropped: 0 };
const later = (ms) => new Promise((done) => setTimeout(done, ms));
const sum = (of) => devices.reduce((all, device) => all + of(device), 0);
async function until(is, otherwise) {
  for (const began = Date.now(); !is(); await later(20)) {
    if (Date.now() - began > LONGEST_WAIT_MS) {
      throw new Error(otherwise);
    }
  }
}
let stop = false;
let failed;
// A long run may be ended early; it says then what it has done.
let early = false;
process.once('SIGINT', () => {
  early = true;
});
const done = { kill: 0, cut: 0, full: 0 };
const began = Date.now();
await server.start();
for (const device of devices) {
  await device.signIn('coordinator');
}
const writing = devices.map((device) => device.run(() => stop));
try {
  for (const [i, fault] of faults.entries()) {
    if (early) {
      break;
    }
    await server.kill();
    if (fault === 'cut') {
      await server.start(1 + random.below(random.pick([40, 4000])));
      await Promise.race([server.gone, later(LONGEST_WAIT_MS)]);
      await server.kill();
      const { unsynced, dropped } = cutPower(server.cutLog, random);
      power.unsynced += unsynced;
      power.dropped += dropped;
      power.hit += unsynced > 0;
    } else if (fault === 'full') {
      await server.start();
      await later(100 + random.below(500));
      server.full(true);
      const before = sum((d) => d.counts.noRoom);
      await until(() => sum((d) => d.counts.noRoom) > before, 'A full disk was not said to a device.');
      server.full(false);
      // It goes on by itself, without being started again.
      const kept = sum((d) => d.acknowledged.size);
      await until(() => sum((d) => d.acknowledged.size) > kept, 'Nothing was taken after there was room again.');
      await server.kill();
    } else {
      await server.start();
      await later(100 + random.below(1200));
      await server.kill();
    }
    done[fault] += 1;
    if ((i + 1) % 50 === 0) {
      console.log(`${i + 1} of ${faults.length} faults`);
    }
  }
  await server.start();
} catch (error) {
  failed = error;
}
stop = true;
await Promise.all(writing);

let found = [];
let browsers = { visits: [], said: 0, asked: 0, short: [] };
let sent = 0;
let verified = { code: 1, said: 'not reached' };
if (!failed) {
  try {
    for (const device of devices) {
      await device.drain();
    }
    found = await Promise.all(devices.map((device) => device.compare()));
    if (browserKills > 0) {
      browsers = await killBrowsers(browserKills, server.address, random);
      for (const visit of browsers.visits) {
        const entries = await devices[0].entriesOf(visit);
        sent += new Set(entries.map(({ id }) => id)).size;
        found[0].doubled.push(...entries.slice(new Set(entries.map(({ id }) => id)).size));
      }
    }
  } catch (error) {
    failed = error;
  }
  await server.kill();
  verified = await server.command('verify');
}
const count = (what) => found.reduce((all, one) => all + one[what].length, 0);
const counts = {
  seed,
  kills: done.kill,
  'power cuts': done.cut,
  'cuts amid what was not synced': power.hit,
  'writes not synced at a cut': power.unsynced,
  'of them dropped or torn': power.dropped,
  'full disks': done.full,
  'told that there is no room': sum((d) => d.counts.noRoom),
  requests: sum((d) => d.counts.requests),
  'replies dropped': sum((d) => d.counts.repliesDropped),
  'requests doubled': sum((d) => d.counts.doubled),
  'out of order': sum((d) => d.counts.reordered),
  'clock jumps': sum((d) => d.counts.clockJumps),
  acknowledged: sum((d) => d.acknowledged.size),
  refused: sum((d) => d.refused.size),
  lost: count('lost'),
  doubled: count('doubled'),
  altered: count('altered') + count('foreign'),
  'log told to be another': sum((d) => d.counts.offeredAgain),
  'browser kills': browserKills,
  'said to be written there': browsers.said,
  'asked to be written there': browsers.asked,
  'sent from there': sent,
  verify: verified.said,
  seconds: Math.round((Date.now() - began) / 1000),
};
for (const [name, value] of Object.entries(counts)) {
  console.log(`${name.padEnd(30)} ${value}`);
}
const wrong =
  failed ||
  verified.code !== 0 ||
  counts.lost + counts.doubled + counts.altered + counts.refused + counts['log told to be another'] > 0 ||
  counts.acknowledged === 0 ||
  browsers.short.length > 0 ||
  sent < browsers.said ||
  sent > browsers.asked;
if (wrong) {
  const kept = join(tmpdir(), `upper-still-harness-${seed}`);
  server.keep(kept);
  console.log(
    `FAILED. ${failed?.message ?? ''} ${browsers.short.join('; ')} Refused: ${[...new Set(devices.flatMap((d) => [...d.refused.values()]))].join('; ') || 'none'}. The data lies in ${kept}; --seed ${seed} draws the same faults.`,
  );
}
server.end();
rmSync(built, { recursive: true, force: true });
process.exit(wrong ? 1 : 0);

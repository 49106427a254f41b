// How fast the server takes entries: ./bench deliveries. Fifty devices at once, one entry a request, one device alone, a mark of
// an old visit struck, and a boat beside a long table.
import { newId } from '../tests/harness/newId.mjs';
import { Server } from '../tests/harness/server.mjs';
import { coordinator } from './coordinator.mjs';

const DEVICES = 50;
const EACH = 60;
const TABLE = 3000;
const server = new Server(15_098);
await server.start();

const signedIn = await coordinator(server.address);
async function ask(method, path, body) {
  const { status, text } = await signedIn(method, path, body, typeof body === 'string' ? 'text/csv' : undefined);
  if (status >= 300) {
    throw new Error(`${method} ${path} gave ${status}: ${text.slice(0, 300)}`);
  }
  return JSON.parse(text);
}

/** A visit to the layered lake as a device writes it: header, sounding, disc, a profile, the end. */
function visit(device) {
  const id = newId();
  const make = (kind, body, i) => ({
    id: newId(),
    visit: id,
    kind,
    version: 1,
    body,
    at: `2026-08-12T10:${String(20 + Math.floor(i / 60)).padStart(2, '0')}:${String(i % 60).padStart(2, '0')}+01:00`,
    by: 'Ada Fenn',
    device,
  });
  const levels = Array.from({ length: EACH - 5 }, (_, i) =>
    make(
      'level',
      {
        depth: { written: (0.2 * (i + 1)).toFixed(1), unit: 'm' },
        temperature: { written: (21 - 0.2 * i).toFixed(1), unit: '°C' },
        oxygen: { written: (9 - 0.1 * i).toFixed(1), unit: 'mg/L' },
      },
      i + 4,
    ),
  );
  return [
    make(
      'visit-started',
      {
        station: 'HAR-2',
        programme: 'layered-lake',
        programmeVersion: 1,
        observers: ['Bea Okafor', 'Tomas Reyl'],
        line: 'R-5',
        due: ['clarity', 'profile'],
      },
      0,
    ),
    make('sounding', { depth: { written: '11.9', unit: 'm' } }, 1),
    ...['3.2', '3.4'].map((written, i) =>
      make(
        'disc-mark',
        { lowering: i + 1, event: 'reappeared', depth: { written, unit: 'm' }, observer: ['Bea Okafor', 'Tomas Reyl'][i] },
        2 + i,
      ),
    ),
    ...levels,
    make('visit-closed', {}, EACH),
  ];
}

async function deliver(entries) {
  const { answers } = await ask('POST', '/api/entries', { sentAt: '2026-08-12T11:00:00+01:00', entries });
  const bad = answers.find(({ status }) => status !== 'kept');
  if (bad) {
    throw new Error(`not kept: ${JSON.stringify(bad)}`);
  }
}

const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];
const rows = [];
async function timed(work) {
  const began = performance.now();
  await work();
  return performance.now() - began;
}

// The first fold compiles.
await deliver(visit('warm'));
const whole = Array.from({ length: DEVICES }, (_, i) => visit(`device ${i}`));
rows.push([
  `${DEVICES} devices, ${EACH} entries each, all acknowledged`,
  `${((await timed(() => Promise.all(whole.map(deliver)))) / 1000).toFixed(2)} s`,
  '2 s',
]);

const single = Array.from({ length: 20 }, (_, i) => visit(`single ${i}`));
const took = await timed(() =>
  Promise.all(
    single.map(async (entries) => {
      for (const entry of entries) {
        await deliver([entry]);
      }
    }),
  ),
);
rows.push(['20 devices, one entry a request', `${Math.round((single.length * EACH) / (took / 1000))} a second`, 'at least 300']);

const alone = [];
for (const entry of [...visit('alone'), ...visit('alone')]) {
  alone.push(await timed(() => deliver([entry])));
}
alone.sort((a, b) => a - b);
rows.push([
  'one device alone, one entry a request: half / 95 of 100',
  `${Math.round(at(alone, 0.5))} / ${Math.round(at(alone, 0.95))} ms`,
  '– / 250 ms',
]);

const { context } = await ask('GET', '/api/stations/HAR-1');
const old = context.history.find(({ date, censored }) => date.slice(5, 7) === '08' && !censored);
const marks = (await ask('GET', `/api/visits/${old.visit}/entries`)).filter(({ kind }) => kind === 'disc-mark');
const strikes = marks.map(({ id, visit: of }) => ({
  id: newId(),
  visit: of,
  kind: 'strike',
  version: 1,
  body: {},
  at: '2026-08-12T11:00:00+01:00',
  by: 'Ada Fenn',
  device: 'office',
  strikes: id,
  why: 'misread',
}));
const later = context.history.filter(({ date }) => date > old.date && date.slice(5, 7) === '08').length;
rows.push([
  `the clarity of ${old.date} struck: ${later} later ones of its month`,
  `${Math.round(await timed(() => deliver(strikes)))} ms`,
  '–',
]);
rows.push([
  `another entry for that visit`,
  `${Math.round(await timed(() => deliver([{ ...strikes[0], id: newId(), kind: 'taken', strikes: undefined, why: undefined, body: { protocol: 'clarity' } }])))} ms`,
  '–',
]);

// A long table comes in, and is taken back, while a boat sends entry by entry.
const stations = (await ask('GET', '/api/stations')).map(({ station }) => station.code);
const days = Array.from({ length: TABLE / stations.length }, (_, i) =>
  new Date(Date.UTC(1950, 4, 1 + 7 * i)).toISOString().slice(0, 10),
);
const table = [
  'Station,Date,Secchi (m),TP (ug/L)',
  ...stations.flatMap((code) => days.map((day, i) => `${code},${day},${(2 + (i % 20) / 10).toFixed(1)},${10 + (i % 9)}`)),
].join('\n');
const { mapping } = await ask('POST', '/api/imports/look', table);
const listed = async () => (await ask('GET', '/api/imports')).at(0);
/** Until it is worked out; what a boat waited meanwhile, at the most. */
async function beside(work) {
  const waits = [];
  let done = false;
  const boat = (async () => {
    while (!done) {
      for (const entry of visit('boat')) {
        waits.push(await timed(() => deliver([entry])));
        if (done) {
          break;
        }
      }
    }
  })();
  const whole = await timed(async () => {
    await work();
    while ((await listed()).waiting > 0) {
      await new Promise((again) => setTimeout(again, 100));
    }
  });
  done = true;
  await boat;
  waits.sort((a, b) => a - b);
  return [
    `${(whole / 1000).toFixed(1)} s; half / 95 of 100 / longest ${Math.round(at(waits, 0.5))} / ${Math.round(at(waits, 0.95))} / ${Math.round(waits.at(-1))} ms`,
    '–',
  ];
}
rows.push([
  `a table of ${stations.length * days.length} visits comes in; a boat meanwhile`,
  ...(await beside(() =>
    ask(
      'POST',
      `/api/imports?${new URLSearchParams({ mapping: JSON.stringify(mapping), name: 'old.csv', keep: 'true' })}`,
      table,
    ),
  )),
]);
const { id, visits, standing } = await listed();
if (visits !== standing || visits !== stations.length * days.length) {
  throw new Error(`Of ${stations.length * days.length} visits ${visits} came and ${standing} stand.`);
}
rows.push([
  'it is taken back; a boat meanwhile',
  ...(await beside(() => ask('POST', `/api/imports/${id}/undo`, { why: 'a measurement' }))),
]);

for (const [what, measured, budget] of rows) {
  console.log(`${what.padEnd(66)} ${measured.padStart(24)}   goal ${budget}`);
}
await server.kill();
server.end();

// What the server's memory grows to at the largest upload of each kind: ./bench uploads. The peak is the system's own count of
// resident memory (VmHWM), set back before each.
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { newId } from '../tests/harness/newId.mjs';
import { Server } from '../tests/harness/server.mjs';
import { coordinator } from './coordinator.mjs';

const MB = 1024 * 1024;
const server = new Server(15_096);
await server.start();
const ask = await coordinator(server.address);

const memory = (what) =>
  Number(new RegExp(`${what}:\\s+(\\d+) kB`).exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))[1]) / 1024;
async function upload(what, method, path, body, type = 'text/csv') {
  writeFileSync(`/proc/${server.pid}/clear_refs`, '5');
  const before = memory('VmRSS');
  const { status, text } = await ask(method, path, body, type);
  console.log(
    `${what.padEnd(62)} ${String(status).padStart(4)} ${`${Math.round(body.length / MB)} MB`.padStart(7)}   from ${Math.round(before)} to ${Math.round(memory('VmHWM'))} MB`,
  );
  return text;
}

/** As many rows as are taken, filled up to nearly the largest file with a remark. */
const table = (head, row, rows, megabytes) => {
  const first = [head, ...Array.from({ length: rows }, (_, i) => row(i))].join('\n');
  const fill = 'x'.repeat(Math.floor((megabytes * MB - first.length) / rows) - 2);
  return [`${head},Remarks`, ...Array.from({ length: rows }, (_, i) => `${row(i)},${fill}`)].join('\n');
};
const day = (i) => new Date(Date.UTC(1800, 0, 1 + (i % 80_000))).toISOString().slice(0, 10);

const old = table(
  'Station,Date,Secchi (m),TP (ug/L)',
  (i) => `${['HAR-1', 'HAR-2'][i % 2]},${day(i >> 1)},${2 + (i % 20) / 10},${10 + (i % 9)}`,
  99_999,
  31.9,
);
const { mapping } = JSON.parse(await upload('an old table looked at', 'POST', '/api/imports/look', old));
await upload(
  'what would come of it',
  'POST',
  `/api/imports?${new URLSearchParams({ mapping: JSON.stringify(mapping), name: 'old.csv' })}`,
  old,
);
await upload(
  'an old table with one field that never ends',
  'POST',
  '/api/imports/look',
  `Date,Secchi (m)\n"${'9'.repeat(31 * MB)}`,
);
const results = table('Sample,Analyte,Result,Unit', (i) => `HAR-1-260603-F1-${i},TP,${10 + (i % 9)},ug/L`, 190_000, 63.9);
await upload('a results file looked at', 'POST', '/api/results/look', results);

const cast = Buffer.alloc(127 * MB, '0.1,21.3,8.9\n');
const sha256 = createHash('sha256').update(cast).digest('hex');
const visit = newId();
const entry = (kind, body) => ({
  id: newId(),
  visit,
  kind,
  version: 1,
  body,
  at: '2026-08-12T10:20:00+01:00',
  by: 'Ada Fenn',
  device: 'bench',
});
await ask('POST', '/api/entries', {
  sentAt: '2026-08-12T11:00:00+01:00',
  entries: [
    entry('visit-started', {
      station: 'HAR-2',
      programme: 'layered-lake',
      programmeVersion: 1,
      observers: ['Ada Fenn'],
      line: 'R-5',
      due: ['profile'],
    }),
    entry('logged-cast', {
      file: 'cast.csv',
      sha256,
      bytes: cast.length,
      rows: 1,
      used: 1,
      wayUp: false,
      columns: { depth: 'Depth, m' },
    }),
  ],
});
await upload('the file of a logged cast', 'PUT', `/api/visits/${visit}/casts/${sha256}`, cast);
await upload(
  'more than is taken in one request of JSON',
  'POST',
  '/api/entries',
  `{"x":"${'9'.repeat(20 * MB)}"}`,
  'application/json',
);
await server.kill();
server.end();

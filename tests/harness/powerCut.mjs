import { closeSync, existsSync, fstatSync, ftruncateSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs';

const HEAD = 1 + 3 * 4 + 8;
const SECTOR = 512;

/** What the file layer wrote down, in order. The last record may be torn: then its write never happened. */
function* records(log) {
  for (let at = 0; at + HEAD <= log.length; ) {
    const [name, was, is] = [1, 5, 9].map((offset) => log.readUInt32LE(at + offset));
    const end = at + HEAD + name + was + is;
    if (end > log.length) {
      return;
    }
    const offset = Number(log.readBigUInt64LE(at + 13));
    const body = at + HEAD;
    yield {
      type: String.fromCharCode(log[at]),
      name: log.toString('utf8', body, body + name),
      offset,
      before: log.subarray(body + name, body + name + was),
      now: log.subarray(body + name + was, end),
    };
    at = end;
  }
}

/**
 * Cuts the power after the server was killed: of what was written and not synced since, a random part is taken back, a part is
 * kept, a part is torn at a sector. Says how many writes were not synced, and how many of them were dropped or torn.
 */
export function cutPower(logFile, random) {
  const counts = { unsynced: 0, dropped: 0 };
  if (!existsSync(logFile)) {
    return counts;
  }
  const open = new Map();
  for (const record of records(readFileSync(logFile))) {
    if (record.type === 'S') {
      open.delete(record.name);
    } else {
      open.set(record.name, [...(open.get(record.name) ?? []), record]);
    }
  }
  for (const [name, writes] of open) {
    if (!existsSync(name)) {
      continue;
    }
    const file = openSync(name, 'r+');
    // Back to what was synced last; a write that grew the file leaves it shorter again.
    for (const { type, offset, before, now } of [...writes].reverse()) {
      if (before.length > 0) {
        writeSync(file, before, 0, before.length, offset);
      }
      if (type === 'W' && before.length < now.length && fstatSync(file).size <= offset + now.length) {
        ftruncateSync(file, offset + before.length);
      }
    }
    // Disks write in any order: all, nothing, or some of it.
    const share = random.pick([0, 0.5, 0.9, 1]);
    for (const { type, offset, now } of writes) {
      counts.unsynced++;
      if (!random.chance(share)) {
        counts.dropped++;
      } else if (type === 'T') {
        ftruncateSync(file, offset);
      } else if (random.chance(0.1) && now.length > SECTOR) {
        counts.dropped++;
        writeSync(file, now, 0, SECTOR * random.below(Math.floor(now.length / SECTOR)), offset);
      } else {
        writeSync(file, now, 0, now.length, offset);
      }
    }
    closeSync(file);
  }
  rmSync(logFile);
  return counts;
}

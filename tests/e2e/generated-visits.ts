/** Repeatable chance: mulberry32. */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const UNITS = ['m', 'cm', 'ft', 'ft-in', 'in', null];
const ODD = ['', '-1', '12 14', '3,85', '3,850', 'about 4', '12.9', '.5', '11\'6"', '1e3'];
const OUTCOMES = ['on-bottom', 'in-plants', 'in-mud', 'not-taken'];
const READERS = ['as-read', 'm', 'ft'];

/** Visits as people and their slips would make them: any order, twice, struck, in any unit, by two devices. */
export function visits(count: number, context: unknown): unknown[] {
  return Array.from({ length: count }, (_, seed) => visit(chance(seed + 1), context));
}

function visit(next: () => number, context: unknown): unknown {
  const whole = (most: number) => Math.floor(next() * most);
  const hex = (length: number) => Array.from({ length }, () => whole(16).toString(16)).join('');
  const id = () => `019${hex(5)}-${hex(4)}-7${hex(3)}-8${hex(3)}-${hex(12)}`;
  const visitId = id();
  const depth = (around: number) => {
    if (next() < 0.08) {
      return { written: ODD[whole(ODD.length)], unit: UNITS[whole(UNITS.length)] };
    }
    const feet = Math.max(0, around + whole(5) - 2);
    return next() < 0.7
      ? { written: `${feet} ${whole(12)}`, unit: 'ft-in' }
      : { written: (feet * 0.3048).toFixed(whole(4)), unit: 'm' };
  };
  const entries: Record<string, unknown>[] = [];
  const add = (kind: string, body: unknown, more: object = {}) => {
    entries.push({
      id: id(),
      visit: visitId,
      kind,
      version: 1,
      body,
      at: `2026-0${1 + whole(9)}-1${whole(10)}T${10 + whole(9)}:${10 + whole(50)}:0${whole(10)}.${whole(1000)}+01:00`,
      by: 'Asa',
      device: next() < 0.8 ? 'phone' : 'tablet',
      ...(next() < 0.3 ? { receipt: { at: '2026-08-12T12:00:00Z', clockOffS: whole(2000) - 1000 } } : {}),
      ...more,
    });
  };
  if (next() < 0.95) {
    add('visit-started', {
      station: 'HAR-1',
      programme: 'monthly-composite',
      programmeVersion: 1,
      observers: ['Asa', 'Bea'],
      line: next() < 0.8 ? 'R-3' : null,
    });
  }
  const clear = 8 + whole(10);
  for (let step = 0; step < 3 + whole(8); step++) {
    const dice = next();
    if (dice < 0.2) {
      add('sounding', { depth: depth(next() < 0.8 ? 100 : clear) });
    } else if (dice < 0.7) {
      add('disc-mark', {
        lowering: 1 + whole(3),
        event: next() < 0.5 ? 'disappeared' : 'reappeared',
        depth: depth(clear),
        observer: next() < 0.5 ? 'Asa' : null,
      });
    } else if (dice < 0.76) {
      add('disc-outcome', { outcome: OUTCOMES[whole(OUTCOMES.length)] }, { why: 'as seen' });
    } else if (dice < 0.94 && entries.length > 0) {
      add('strike', {}, { strikes: entries[whole(entries.length)]?.id, why: 'misread' });
    } else {
      add('visit-closed', {});
    }
  }
  return {
    entries: entries.flatMap((entry) => (next() < 0.2 ? [entry, entry] : [entry])).sort(() => next() - 0.5),
    context,
    reader: READERS[whole(3)],
  };
}

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
      ...(next() < 0.7 ? { due: ['clarity', 'profile', 'chlorophyll', 'phosphorus'].filter(() => next() < 0.7) } : {}),
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
  if (next() < 0.8) {
    restOf(next, whole, add, entries);
  }
  return {
    entries: entries.flatMap((entry) => (next() < 0.2 ? [entry, entry] : [entry])).sort(() => next() - 0.5),
    context,
    reader: READERS[whole(3)],
  };
}

const RINSED = ['HAR-1-260812-C1-Q', 'HAR-1-260812-C1R-X', 'HAR-1-260812-P1-7', 'PEL-1-260812-C1-0'];

/** Head of the sheet, meter, levels, casts, bottles: as they come, slips among them. */
function restOf(
  next: () => number,
  whole: (most: number) => number,
  add: (kind: string, body: unknown, more?: object) => void,
  entries: Record<string, unknown>[],
): void {
  const maybe = <Value>(value: Value): Value | undefined => (next() < 0.6 ? value : undefined);
  add('conditions', {
    people: maybe(1 + whole(3)),
    anchored: maybe(next() < 0.8),
    air: maybe({ written: String(10 + whole(60)), unit: next() < 0.7 ? '°C' : '°F' }),
    water: maybe({ written: String(4 + whole(70)), unit: next() < 0.8 ? '°C' : '°F' }),
    waterSteady: maybe(next() < 0.8),
    waves: maybe(1 + whole(4)),
    ...(next() < 0.5 ? { windMs: maybe(whole(100) / 8) } : { wind: maybe('branches-move') }),
    ...(next() < 0.5 ? { rain24Mm: maybe(whole(40)) } : { rain24: maybe('5-to-25-mm') }),
    thunder: maybe(next() < 0.1),
  });
  add('fix', {
    latitudeDeg: 51.9127 + next() / 1000,
    longitudeDeg: -11.4419 + next() / 1000,
    source: 'device',
    accuracyM: whole(60),
  });
  if (next() < 0.7) {
    add('meter-check', {
      meter: 'M-1',
      atEnd: next() < 0.2,
      expected: { written: '100', unit: '%' },
      read: { written: String(92 + whole(12)), unit: '%' },
      display: maybe(next() < 0.8 ? 'mg/L' : '%'),
      pressureKpa: maybe(96 + whole(9)),
    });
  }
  let celsius = 14 + whole(120) / 10;
  let oxygen = 6 + whole(50) / 10;
  const logged = next() < 0.2;
  if (logged) {
    add('logged-cast', {
      file: 'arm.csv',
      sha256: 'a'.repeat(64),
      bytes: 900,
      rows: 120,
      used: 60,
      wayUp: next() < 0.1,
      columns: { depth: 'Depth, m' },
    });
  }
  const cast = logged ? entries.at(-1)?.id : undefined;
  for (let depth = 1; depth < 4 + whole(40); depth += 1 + whole(3)) {
    celsius -= next() * 1.4;
    oxygen -= next() * 0.6 - 0.2;
    const slip = next();
    add('level', {
      depth: { written: slip < 0.05 ? String(depth - 1) : String(depth), unit: next() < 0.8 ? 'ft' : 'm' },
      temperature: maybe({ written: (slip > 0.95 ? celsius * 1.8 + 32 : celsius).toFixed(1), unit: '°C' }),
      oxygen: maybe({ written: (slip > 0.8 ? oxygen * 10 : oxygen).toFixed(whole(3)), unit: next() < 0.9 ? 'mg/L' : '%' }),
      conductivity: next() < 0.2 ? String(150 + whole(80)) : undefined,
      salinity: next() < 0.1 ? (next() * 34).toFixed(1) : undefined,
      settled: maybe(next() < 0.9),
      ...(cast !== undefined && { from: 'logged', cast, rows: 1 + whole(9) }),
    });
  }
  const levels = entries.filter(({ kind }) => kind === 'level').map(({ id }) => id);
  if (levels.length > 0 && next() < 0.4) {
    add('reread', {
      levels: levels.slice(whole(levels.length)),
      as: ['oxygen-percent', 'oxygen-mgl', 'oxygen-tenth', 'fahrenheit'][whole(4)],
    });
  }
  if (next() < 0.5) {
    add('composite-try', {
      depth: { written: `${20 + whole(8)} 0`, unit: 'ft-in' },
      ...(next() < 0.5 ? { fillPercent: whole(11) * 10 } : { fill: ['half', 'over-half', 'full'][whole(3)] }),
      raiseS: maybe(20 + whole(40)),
    });
    add('fill', {
      sample: RINSED[whole(RINSED.length)],
      type: next() < 0.8 ? 'chlorophyll-water' : 'phosphorus-dip',
      from: next() < 0.8 ? 'composite' : 'lake',
      to: next() < 0.8 ? 'as-asked' : 'less',
      rinses: maybe(whole(3)),
      drops: maybe(3 + whole(4)),
    });
  }
  add('disc-conditions', {
    side: maybe(next() < 0.8 ? 'shade' : 'sun'),
    sunglasses: maybe(next() < 0.1),
    lineAngleDeg: maybe(whole(50)),
  });
}

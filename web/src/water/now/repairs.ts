import type { Entry, FieldSheet, Finding, Schemas } from '../../api/client';
import { type NewEntry, write } from '../../field/entries';
import { store } from '../../field/store';
import type { Level } from '../../profile/columns';
import type { StepName } from '../steps';
import { stepName } from '../steps';
import type { Asked, Here } from './here';
import { stepBeside } from './worst';

/** A way to mend what was found: one touch, and what was written stays. */
export interface Repair {
  label: string;
  run: () => void;
  /** One of several that exclude each other, none of them likelier. */
  either?: true;
}

/** Bottles that are filled again when one of these is found. */
const FILL_AGAIN = [
  'fill-wrong',
  'rinses-short',
  'bottle-never-rinsed',
  'acid-bottle-direct',
  'acid-bottle-over',
  'sample-has-sediment',
  'sample-has-bubbles',
  'inside-touched',
];

/** The likely repairs of a finding, the likeliest first. */
export function repairsOf(finding: Finding, { sheet, onStep, ask }: Pick<Here, 'sheet' | 'onStep' | 'ask'>): Repair[] {
  const asking = (label: string, asked: Asked): Repair => ({
    label,
    run: () => {
      const step = stepBeside(sheet, finding);
      if (step) {
        onStep(step);
      }
      ask(asked);
    },
  });
  switch (finding.beside) {
    case 'profile':
      return profile(finding, sheet, asking);
    case 'clarity':
      return [...clarity(finding, sheet, asking), ...between(finding, sheet)];
    case 'sounding':
      return [...sounding(finding, sheet), ...between(finding, sheet)];
    case 'bottles':
    case 'composite':
      return bottle(finding, sheet, asking);
    case 'leaving': {
      const step = finding.code === 'clarity-reading-missing' ? 'clarity' : openStep(sheet);
      return step ? [{ label: step === 'clarity' ? 'Read it now' : 'Fill it now', run: () => onStep(step) }] : [];
    }
    default:
      return between(finding, sheet);
  }
}

/** To the page on which a finding is answered. */
export function wayTo(finding: Finding, { sheet, onStep }: Pick<Here, 'sheet' | 'onStep'>): Repair[] {
  const step = stepBeside(sheet, finding);
  return step ? [{ label: `To ${stepName(step).toLowerCase()}`, run: () => onStep(step) }] : [];
}

function openStep(sheet: FieldSheet): StepName | undefined {
  const open = sheet.steps.find(
    ({ name, state }) => (state === 'to-do' || state === 'next') && name !== 'arrive' && name !== 'leave',
  );
  return open?.name as StepName | undefined;
}

/** Of entries that say different things one is struck; it stays legible. */
function between(finding: Finding, sheet: FieldSheet): Repair[] {
  return ['devices-disagree', 'number-called-twice'].includes(finding.code)
    ? sheet.entries
        .filter((entry) => finding.about.includes(entry.id))
        .map((entry) => ({
          label: `Strike ${entry.text} (${entry.device})`,
          either: true as const,
          run: () =>
            void write({ visit: sheet.visit, kind: 'strike', body: {}, strikes: entry.id, why: 'the other number stands' }),
        }))
    : [];
}

function sounding(finding: Finding, sheet: FieldSheet): Repair[] {
  const of = sheet.sounding?.entry;
  if (!of || !finding.about.includes(of)) {
    return [];
  }
  const again = {
    label: 'Sound it again',
    run: () => void write({ visit: sheet.visit, kind: 'strike', body: {}, strikes: of, why: 'sounded again' }),
  };
  const { likelier, likelierText } = sheet.sounding ?? {};
  const other = likelier ? [{ label: `It was ${likelierText}`, run: () => void soundedAs(sheet.visit, of, likelier) }] : [];
  return ['unit-unlikely', 'sounding-differs'].includes(finding.code) ? [...other, again] : [];
}

/** The same figure on a finder that shows the other unit; what was first written stays on the page. */
async function soundedAs(visit: string, of: string, depth: Schemas['WrittenLength']): Promise<void> {
  const body = (await store.entries.get(of))?.entry.body as Schemas['SoundingBody'] | undefined;
  if (body) {
    await write({ visit, kind: 'sounding', body: { ...body, depth }, strikes: of, why: 'the other unit' });
  }
}

function clarity(finding: Finding, sheet: FieldSheet, asking: (label: string, asked: Asked) => Repair): Repair[] {
  if (finding.code === 'clarity-reappear-deeper') {
    return [{ label: 'Swap them', run: () => void swapMarks(finding, sheet) }];
  }
  if (finding.code === 'clarity-at-bottom' && sheet.sounding) {
    return [
      {
        label: 'It was in sight on the bottom',
        run: () => void write({ visit: sheet.visit, kind: 'disc-outcome', body: { outcome: 'on-bottom' } }),
      },
    ];
  }
  const extra = sheet.clarity.boxes.some((box) => box.extra && !box.entry);
  return extra && finding.level === 'check' ? [asking('Read once more', { what: 'reading' })] : [];
}

/** Two corrections, each striking the mark it replaces: what was first written stays on the page. */
async function swapMarks(finding: Finding, sheet: FieldSheet): Promise<void> {
  const marks = (await store.entries.bulkGet([...finding.about])).flatMap((kept): Entry[] => (kept ? [kept.entry] : []));
  const [first, second] = marks;
  if (!first || !second) {
    return;
  }
  const correction = (of: Entry, from: Entry): NewEntry<'disc-mark'> => ({
    visit: sheet.visit,
    kind: 'disc-mark',
    body: { ...(of.body as Schemas['DiscMarkBody']), depth: (from.body as Schemas['DiscMarkBody']).depth },
    strikes: of.id,
    why: 'swapped',
  });
  await write(correction(first, second), correction(second, first));
}

function bottle(finding: Finding, sheet: FieldSheet, asking: (label: string, asked: Asked) => Repair): Repair[] {
  const filled = sheet.bottles?.places
    .flatMap(({ bottles }) => bottles)
    .find(({ entry }) => entry && finding.about.includes(entry));
  if (!filled?.entry) {
    return [];
  }
  const { number, type, entry } = filled;
  if (finding.code.startsWith('preservative-') && type.added) {
    const added = type.added;
    return [
      {
        label: 'Added now',
        run: () => void write({ visit: sheet.visit, kind: 'preserved', body: { samples: [number], added } }),
      },
    ];
  }
  return FILL_AGAIN.includes(finding.code) ? [asking('Fill it again', { what: 'bottle', of: entry })] : [];
}

function profile(finding: Finding, sheet: FieldSheet, asking: (label: string, asked: Asked) => Repair): Repair[] {
  const { profile } = sheet;
  if (!profile) {
    return [];
  }
  if (finding.code === 'profile-add-level') {
    const level = profile.toRead.find(({ between }) => between?.every((entry) => finding.about.includes(entry)));
    return level
      ? [
          asking(`Take ${level.text} now`, { what: 'level', of: String(level.depthM) }),
          {
            label: 'Leave it out',
            run: () =>
              void write({
                visit: sheet.visit,
                kind: 'kept',
                body: { finding: finding.code, about: finding.about },
                why: 'left out',
              }),
          },
        ]
      : [];
  }
  if (finding.code === 'meter-unit-unconfirmed' && profile.meter.meter) {
    const { meter } = profile.meter;
    return [
      {
        label: 'It is back on mg/L',
        run: () => void write({ visit: sheet.visit, kind: 'meter-check', body: { meter, atEnd: false, display: 'mg/L' } }),
      },
    ];
  }
  if (finding.code.startsWith('calibration-') || finding.code === 'meter-uncalibrated') {
    return [asking('Calibrate', { what: 'meter' })];
  }
  const level = profile.levels.find(({ entry }) => finding.about.includes(entry));
  return level ? ofLevel(finding, sheet.visit, profile.levels, level, asking) : [];
}

function ofLevel(
  finding: Finding,
  visit: string,
  levels: Level[],
  level: Level,
  asking: (label: string, asked: Asked) => Repair,
): Repair[] {
  const reread = (label: string, which: Level[], as: Schemas['RereadBody']['as']): Repair => ({
    label,
    run: () => void write({ visit, kind: 'reread', body: { levels: which.map(({ entry }) => entry), as } }),
  });
  const alike = levels.filter((other) => other.oxygen && other.oxygenUnit === level.oxygenUnit);
  const down = alike.filter((other) => other.depthM >= level.depthM);
  const again = asking('Read it again', { what: 'level', of: level.entry });
  switch (finding.code) {
    case 'oxygen-as-percent':
      return [
        reread('Read this one as %', [level], 'oxygen-percent'),
        reread('From here down', down, 'oxygen-percent'),
        reread('The whole column', alike, 'oxygen-percent'),
        reread('The point was lost', [level], 'oxygen-tenth'),
        again,
      ];
    case 'oxygen-as-mgl':
      return [
        reread('Read this one as mg/L', [level], 'oxygen-mgl'),
        reread('From here down', down, 'oxygen-mgl'),
        reread('The whole column', alike, 'oxygen-mgl'),
        again,
      ];
    case 'oxygen-point-lost':
      return [reread('The point was lost', [level], 'oxygen-tenth'), again];
    case 'temperature-as-fahrenheit':
      return [reread('It was °F', [level], 'fahrenheit'), reread('The whole column', levels, 'fahrenheit'), again];
    default:
      return [again];
  }
}

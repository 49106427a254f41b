import type { Finding } from '../api/client';

/** Rows of pasted text, and what to say of the lines that are none. */
export interface Rows {
  rows: string[][];
  findings: Finding[];
}

const MOST_NAMED = 5;

/**
 * Rows with blanks, tabs or semicolons between their fields, or commas where there is nothing else: a comma inside a number is
 * never taken for a border. A line that is no row is left out and named; the first may be a head.
 * @param what what a row holds, such as “a depth and numbers”
 * @param numbers from which field on there are numbers
 * @param least fewest fields of a row
 * @param most most fields of a row
 */
export function rowsOf(text: string, what: string, numbers = 0, least = 2, most = least): Rows {
  const lines = text.split('\n').map((line, at) => ({ line: line.trim(), fields: fieldsOf(line.trim()), at: at + 1 }));
  const filled = lines.filter(({ line }) => line);
  const isRow = ({ fields }: { fields: string[] }) =>
    fields.length >= least &&
    fields.length <= most &&
    fields.slice(numbers).every((field) => field !== '' && Number.isFinite(Number(field)));
  const left = filled.filter(
    (one, i) => !isRow(one) && !(i === 0 && one.fields.every((field) => !Number.isFinite(Number(field)))),
  );
  return {
    rows: filled.filter(isRow).map(({ fields }) => fields),
    findings: left.slice(0, MOST_NAMED).map(({ line, at }) => ({
      code: 'row-unreadable',
      level: 'check',
      seen: `Line ${at}, “${line.length > 40 ? `${line.slice(0, 40)}…` : line}”, is not ${what}.`,
      why: 'It is left out.',
      act: 'Write its numbers with a point, and one row a line.',
      beside: 'entry',
      about: [],
      noWayRound: false,
    })),
  };
}

function fieldsOf(line: string): string[] {
  const apart = line.replace(/,\s+/g, ' ');
  return apart.split(/[\s;]/.test(apart) ? /[\s;]+/ : ',');
}

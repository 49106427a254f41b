import type { Finding, Working } from '../api/client';

/** A box of a calculation. */
export interface Box {
  key: string;
  label: string;
  unit?: string;
  kind: 'number' | 'text' | 'choice' | 'table';
  options?: readonly (readonly [string, string])[];
  initial: string;
  hint?: string;
  /** It may be left empty; another box of numbers may not. */
  optional?: true;
}

/** A number that a calculation gave. */
export interface Outcome {
  label: string;
  text: string;
  working?: Working | null | undefined;
}

export interface Answer {
  outcomes: Outcome[];
  findings: readonly Finding[];
}

export interface Calculator {
  key: string;
  title: string;
  what: string;
  boxes: readonly Box[];
  /** Asks Core; the values are what stands in the boxes, numbers as numbers, empty ones left out. */
  ask(values: Values): Promise<Answer>;
}

export interface Values {
  number(key: string): number | undefined;
  text(key: string): string;
}

/** A box for a number. */
export const number = (key: string, label: string, unit: string, initial = '', hint?: string): Box => ({
  key,
  label,
  unit,
  kind: 'number',
  initial,
  ...(hint && { hint }),
});

/** A box for a number that may be left empty. */
export const numberIfKnown = (key: string, label: string, unit: string, initial = ''): Box => ({
  ...number(key, label, unit, initial),
  optional: true,
});

/** Units of a line or a sounding. */
export const LENGTHS = [
  ['m', 'm'],
  ['ft', 'ft'],
] as const;

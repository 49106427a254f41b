import type { Schemas } from '../api/client';

export type KitInfo = Schemas['KitInfo'];
export type KitItem = Schemas['KitItem'];
export type KitRule = Schemas['KitRule'];
export type KitCheck = Schemas['KitCheck'];

/** What is done, as a button says it. */
export const CHECKS: Record<Schemas['KitCheckKind'], string> = {
  taped: 'Tape it',
  calibrated: 'Calibration',
  'end-check': 'Check at the end',
  'ice-point': 'Melting ice',
  zeroed: 'Distilled water',
  timed: 'Time the messenger',
  counted: 'Count the parts',
  'looked-over': 'Look it over',
};

/** What was done, as the history says it. */
export const DONE: Record<Schemas['KitCheckKind'], string> = {
  taped: 'taped',
  calibrated: 'calibrated',
  'end-check': 'checked at the end',
  'ice-point': 'in melting ice',
  zeroed: 'in distilled water',
  timed: 'messenger timed',
  counted: 'parts counted',
  'looked-over': 'looked over',
};

export const CONDITIONS: Record<Schemas['Condition'], string> = {
  'in-use': 'in use',
  mending: 'ashore, to be mended',
  retired: 'given up; its record stays',
};

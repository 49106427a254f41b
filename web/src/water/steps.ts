import type { FieldSheet } from '../api/client';
import { STEPS, type StepName } from '../routes';

export const STEP_NAMES: Record<StepName, string> = {
  arrive: 'Arrive',
  sounding: 'Sounding',
  surface: 'Surface water',
  clarity: 'Clarity',
  profile: 'Profile',
  bottles: 'Bottles at depth',
  composite: 'Composite',
  leave: 'Leave',
};

const ON_TO: Record<StepName, string> = {
  arrive: 'arriving',
  sounding: 'the sounding',
  surface: 'the surface water',
  clarity: 'clarity',
  profile: 'the profile',
  bottles: 'the bottles',
  composite: 'the composite',
  leave: 'leaving',
};

function nameOf(name: string): StepName | undefined {
  return STEPS.find((step) => step === name);
}

/** The step that comes after one in the order of this visit: the next that is not done, else the next at all. */
export function after(sheet: FieldSheet, step: StepName): StepName {
  const place = sheet.steps.findIndex(({ name }) => name === step);
  const rest = sheet.steps.slice(place + 1);
  const open = rest.find(({ name, state }) => (state === 'to-do' || state === 'next') && name !== 'leave');
  // Where the composite was never asked for by bottles, its depth still stands to be read.
  const shown = rest.find(({ name }) => name === 'composite' && !sheet.due && sheet.composite.text);
  return nameOf((open ?? shown ?? rest.at(-1) ?? { name: 'leave' }).name) ?? 'leave';
}

export function onTo(step: StepName): string {
  return `On to ${ON_TO[step]}`;
}

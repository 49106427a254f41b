import type { FieldSheet } from '../api/client';
import { sentence } from '../ui/sentence';

/** A step of a visit by its name: one of these, or the code of a protocol that describes itself. */
export type StepName = string;

const STEP_NAMES: Record<string, string> = {
  arrive: 'Arrive',
  sounding: 'Sounding',
  surface: 'Surface water',
  clarity: 'Clarity',
  profile: 'Profile',
  bottles: 'Bottles at depth',
  composite: 'Composite',
  leave: 'Leave',
};

const ON_TO: Record<string, string> = {
  arrive: 'arriving',
  sounding: 'the sounding',
  surface: 'the surface water',
  clarity: 'clarity',
  profile: 'the profile',
  bottles: 'the bottles',
  composite: 'the composite',
  leave: 'leaving',
};

/** A step in the words of its heading. */
export function stepName(step: StepName): string {
  return STEP_NAMES[step] ?? sentence(step.replaceAll('-', ' '));
}

/** The step that comes after one in the order of this visit: the next that is not done, else the next at all. */
export function after(sheet: FieldSheet, step: StepName): StepName {
  const place = sheet.steps.findIndex(({ name }) => name === step);
  const rest = sheet.steps.slice(place + 1);
  const open = rest.find(({ name, state }) => (state === 'to-do' || state === 'next') && name !== 'leave');
  // Where the composite was never asked for by bottles, its depth still stands to be read.
  const shown = rest.find(({ name }) => name === 'composite' && !sheet.due && sheet.composite.text);
  return (open ?? shown ?? rest.at(-1) ?? { name: 'leave' }).name;
}

export function onTo(step: StepName): string {
  return `On to ${ON_TO[step] ?? `the ${step.replaceAll('-', ' ')}`}`;
}

import type { FieldSheet } from '../api/client';

/** A step of a visit by its name: one of these, or the code of a protocol that describes itself. */
export type StepName = string;

/** A step in the words of its heading. */
export function stepName({ steps }: Pick<FieldSheet, 'steps'>, step: StepName): string {
  return steps.find(({ name }) => name === step)?.title ?? '';
}

/** The step to go on to from one. */
export function after({ steps }: Pick<FieldSheet, 'steps'>, step: StepName): StepName {
  return steps.find(({ name }) => name === step)?.then ?? 'leave';
}

/** The button that goes on to a step. */
export function onTo({ steps }: Pick<FieldSheet, 'steps'>, step: StepName): string {
  return `On to ${steps.find(({ name }) => name === step)?.way ?? step}`;
}

import type { Step } from './observe';
import type { Description } from './protocols';

/** Steps that are worked together: those of one drop, depth or throw, or one that is done once. */
export interface StepGroup {
  key: string;
  /** What they are repeated for, by its code; undefined where it is done once. */
  repeat: string | undefined;
  item: string | undefined;
  words: string | undefined;
  steps: Step[];
}

const INNER = '+';

/** An inner item, such as a kind of a throw, is named after the outer one. */
export const innerItem = (outer: string, kind: string) => `${outer}${INNER}${kind}`;

/** Inner items stand with the outer one. */
export const outerItem = (item: string | null | undefined) => item?.split(INNER)[0];

/** Which of what an inner item may be; undefined for an outer one. */
export const kindOf = (item: string | null | undefined) => item?.split(INNER)[1];

/** The steps as they come, those of one item together. */
export function groupsOf(description: Description, steps: readonly Step[]): StepGroup[] {
  const groups: StepGroup[] = [];
  for (const step of steps) {
    const repeat = description.steps.find(({ code }) => code === step.step)?.repeat ?? undefined;
    const outer = description.repeats.find(({ code }) => code === repeat)?.within ?? repeat;
    const item = outerItem(step.item);
    const last = groups.at(-1);
    if (last && outer !== undefined && last.repeat === outer && last.item === item) {
      last.steps.push(step);
      last.words ??= step.item === item ? (step.words ?? undefined) : undefined;
    } else {
      groups.push({
        key: `${step.step}/${item ?? ''}`,
        repeat: outer,
        item,
        words: step.item === item ? (step.words ?? undefined) : undefined,
        steps: [step],
      });
    }
  }
  return groups;
}

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

/** Inner items, such as the kinds of a throw, stand with the outer one. */
export function outerItem(item: string | null | undefined): string | undefined {
  return item?.split('+')[0];
}

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

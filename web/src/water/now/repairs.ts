import type { Finding } from '../../api/client';
import { type EntryBodies, type NewEntry, write } from '../../field/entries';
import { stepName } from '../steps';
import type { Here } from './here';

/** A way to mend what was found: one touch, and what was written stays. */
export interface Repair {
  label: string;
  run: () => void;
  /** One of several that exclude each other, none of them likelier. */
  either?: true;
}

/** The repairs of a finding as Core offers them, the likeliest first. */
export function repairsOf(finding: Finding, { sheet, onStep, ask }: Pick<Here, 'sheet' | 'onStep' | 'ask'>): Repair[] {
  return (finding.repairs ?? []).map(({ label, writes, asks, of, either }) => ({
    label,
    ...(either && { either: true }),
    run: () => {
      if (writes) {
        void write(...writes.map((entry) => ({ visit: sheet.visit, ...entry }) as NewEntry<keyof EntryBodies>));
      } else if (asks === 'step') {
        onStep(of ?? undefined);
      } else if (asks) {
        if (finding.step) {
          onStep(finding.step);
        }
        ask({ what: asks, ...(of && { of }) });
      }
    },
  }));
}

/** To the page on which a finding is answered. */
export function wayTo({ step }: Finding, { sheet, onStep }: Pick<Here, 'sheet' | 'onStep'>): Repair[] {
  return step ? [{ label: `To ${stepName(sheet, step).toLowerCase()}`, run: () => onStep(step) }] : [];
}

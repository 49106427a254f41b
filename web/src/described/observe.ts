import type { FieldSheet, Schemas } from '../api/client';
import { write, writeAshore } from '../field/entries';
import type { Description, ObservedValue } from './protocols';

export type Protocol = Schemas['SheetProtocol'];
export type Step = Schemas['SheetProtocolStep'];

/** Where a value stands. */
export interface Place {
  sheet: FieldSheet;
  description: Description;
  step: string;
  item?: string | null | undefined;
  attempt: number;
  /** Written at the bench, also after the visit has ended. */
  ashore: boolean;
}

/** The beginning of the address of everything that a step holds. */
export function addressOf(own: { protocol: string }, step: { step: string; item?: string | null; try: number }): string {
  return `${own.protocol}/${step.step}/${step.item ?? ''}/${step.try}/`;
}

/** Writes one value of a described protocol at its address. */
export function observe(
  { sheet, description, step, item, attempt, ashore }: Place,
  field: string,
  value: ObservedValue,
  /** The entry that it takes the place of. */
  strikes?: string,
) {
  return (ashore ? writeAshore : write)({
    visit: sheet.visit,
    kind: 'observation',
    ...(strikes && { strikes, why: 'answered anew' }),
    body: {
      protocol: description.code,
      version: description.version,
      step,
      field,
      value,
      try: attempt,
      ...(item == null ? {} : { item }),
    },
  });
}

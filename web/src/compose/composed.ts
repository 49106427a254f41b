import type { Schemas } from '../api/client';

export type Composed = Schemas['ComposedProtocol'];
export type ComposedStep = Schemas['ComposedStep'];
export type ComposedField = Schemas['ComposedField'];
export type ComposedSum = Schemas['ComposedSum'];
export type ComposedContainer = Schemas['ComposedContainer'];
export type ComposedKind = Schemas['ComposedKind'];

/** Where a new one begins; Core says what is missing of it. */
export const NEW_PROTOCOL: Composed = { code: '', version: 0, title: '', purpose: '', rank: 35, steps: [newStep()] };

export function newStep(): ComposedStep {
  return { code: '', do: '', why: '', fields: [newField()] };
}

export function newField(): ComposedField {
  return { code: '', label: '', kind: 'whole', required: true };
}

/** A list with one of it moved up or down by a place. */
export function moved<T>(list: readonly T[], at: number, by: number): T[] {
  const rest = list.filter((_, i) => i !== at);
  return [...rest.slice(0, at + by), list[at] as T, ...rest.slice(at + by)];
}

/** Takes a protocol's file apart; Core reads what is in it. */
export async function fromFile(file: File): Promise<Composed> {
  const read: unknown = JSON.parse(await file.text());
  if (typeof read !== 'object' || read === null || !('steps' in read)) {
    throw new Error('It is not the file of a protocol: it has no steps.');
  }
  return read as Composed;
}

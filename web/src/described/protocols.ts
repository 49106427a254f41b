import type { Schemas } from '../api/client';
import { useComputed } from '../field/useComputed';

export type Description = Schemas['ProtocolDescription'];
export type FieldDescription = Schemas['FieldDescription'];
export type ObservedValue = Schemas['ObservationBody']['value'];

/** One described protocol of a programme; null where this device knows none of that code, undefined while Core wakes. */
export function useDescription(
  code: string,
  programme: Schemas['Programme'],
): {
  description: Description | null | undefined;
  error: string | undefined;
} {
  const { data, error } = useComputed('protocols', programme.own?.length ? { programme } : {});
  return { description: data && (data.protocols.find((one) => one.code === code) ?? null), error };
}

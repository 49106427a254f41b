import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { compute } from '../field/core';

export type Description = Schemas['ProtocolDescription'];
export type FieldDescription = Schemas['FieldDescription'];
export type ObservedValue = Schemas['ObservationBody']['value'];

let descriptions: Promise<Description[]> | undefined;

/** How every described protocol describes itself; Core is asked once. */
function described(): Promise<Description[]> {
  descriptions ??= compute('protocols', {}).then(({ protocols }) => protocols);
  descriptions.catch(() => {
    descriptions = undefined;
  });
  return descriptions;
}

/** Every described protocol that this device knows; none while Core wakes. */
export function useDescriptions(): Description[] {
  const [all, setAll] = useState<Description[]>([]);
  useEffect(() => {
    described().then(setAll, () => setAll([]));
  }, []);
  return all;
}

/** One described protocol; null where this device knows none of that code, undefined while Core wakes. */
export function useDescription(code: string): { description?: Description | null; error?: string } {
  const [known, setKnown] = useState<{ code: string; description?: Description | null; error?: string }>();
  useEffect(() => {
    let current = true;
    described().then(
      (all) => current && setKnown({ code, description: all.find((one) => one.code === code) ?? null }),
      (error: Error) => current && setKnown({ code, error: error.message }),
    );
    return () => {
      current = false;
    };
  }, [code]);
  return known?.code === code ? known : {};
}

import { useState } from 'react';

/** What is counted or timed but not written yet: kept on the device before it is drawn, so that it survives a reload. */
export function useHeld(address: string): [string | undefined, (value: string | undefined) => void] {
  const key = `held/${address}`;
  const [held, setHeld] = useState(() => localStorage.getItem(key) ?? undefined);
  return [
    held,
    (value) => {
      if (value === undefined) {
        localStorage.removeItem(key);
      } else {
        localStorage.setItem(key, value);
      }
      setHeld(value);
    },
  ];
}

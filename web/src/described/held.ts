import { useEffect, useRef, useState } from 'react';
import { store } from '../field/store';
import { setTrouble, storeTrouble } from '../field/trouble';

type Held = string | undefined;

/**
 * What is counted or timed but not written yet. A touch is on the disk before it is drawn, so that it survives a reload and the
 * death of the device; touches that come quicker than the disk wait for one another, and none is lost.
 */
export function useHeld(address: string): [Held, (next: (before: Held) => Held) => void] {
  const name = `held/${address}`;
  const [held, setHeld] = useState<Held>();
  const last = useRef(Promise.resolve<Held>(undefined));
  useEffect(() => {
    let here = true;
    last.current = store.settings.get(name).then((kept) => kept?.value as Held);
    void last.current.then((kept) => here && setHeld(kept));
    return () => {
      here = false;
    };
  }, [name]);
  const change = (next: (before: Held) => Held) => {
    last.current = last.current.then(async (before) => {
      const after = next(before);
      try {
        await (after === undefined ? store.settings.delete(name) : store.settings.put({ name, value: after }));
      } catch (error) {
        setTrouble(storeTrouble(error as Error));
        return before;
      }
      setHeld(after);
      return after;
    });
  };
  return [held, change];
}

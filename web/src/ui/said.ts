import { createContext, useContext, useEffect } from 'react';
import type { Finding } from '../api/client';

/** Where a page has one place for what is wrong with something that is typed and not yet written. */
export const SaidContext = createContext<((finding: Finding | undefined) => void) | undefined>(undefined);

/** Says there what is wrong with something typed; gone with the field. False where the page has no such place. */
export function useSaid(finding: Finding | undefined, wanted = true): boolean {
  const say = useContext(SaidContext);
  const here = wanted && say !== undefined;
  useEffect(() => {
    if (here) {
      say?.(finding);
      return () => say?.(undefined);
    }
    return undefined;
  }, [finding, say, here]);
  return here;
}

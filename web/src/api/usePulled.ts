import { useCallback, useEffect, useState } from 'react';
import { type Asked, asked } from './asked';

export interface Pulled<T> extends Asked<T> {
  again(): Promise<void>;
}

/** Something of the server's that a page ashore shows; it says so where the server cannot be reached. */
export function usePulled<T>(pull: () => Promise<{ data?: T; error?: unknown }>): Pulled<T> {
  const [answer, setAnswer] = useState<Asked<T>>({ data: undefined, problem: '' });
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is pulled does not change while the page stands
  const again = useCallback(
    async () => setAnswer(await asked(pull, 'The server cannot be reached. This page needs a signal; the water does not.')),
    [],
  );
  useEffect(() => void again(), [again]);
  return { ...answer, again };
}

import { useCallback, useEffect, useState } from 'react';
import { wordsOf } from '../api/client';

interface Answer<T> {
  data?: T;
  error?: unknown;
}

export interface Pulled<T> {
  data: T | undefined;
  problem: string;
  again(): Promise<void>;
}

/** Something of the server's that a page at the desk shows; it says so where the server cannot be reached. */
export function usePulled<T>(pull: () => Promise<Answer<T>>): Pulled<T> {
  const [data, setData] = useState<T>();
  const [problem, setProblem] = useState('');
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is pulled does not change while the page stands
  const again = useCallback(async () => {
    try {
      const answer = await pull();
      setData(answer.data);
      setProblem(answer.data === undefined ? wordsOf(answer.error) : '');
    } catch {
      setProblem('The server cannot be reached. This page needs a signal; the water and the bench do not.');
    }
  }, []);
  useEffect(() => void again(), [again]);
  return { data, problem, again };
}

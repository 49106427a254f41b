import { useQuery } from '@tanstack/react-query';
import { useId } from 'react';
import { type Asked, asked } from './asked';
import { OF_CORE, queries } from './queries';

const NO_SIGNAL = 'The server cannot be reached. This page needs a signal; the water does not.';
const KEPT_MS = 15 * 60_000;

export interface Pulled<T> extends Asked<T> {
  again(): Promise<void>;
}

/**
 * Something of the server's that a page ashore shows; it says so where the server cannot be reached. With a key it stands at once
 * when the page is opened again, while it is asked for anew; a page that changes what it shows gives none.
 */
export function usePulled<T>(
  pull: () => Promise<{ data?: T; error?: unknown }>,
  key?: readonly unknown[],
  unreached = NO_SIGNAL,
): Pulled<T> {
  const here = useId();
  const queryKey = key ?? [here];
  const { data, refetch } = useQuery(
    {
      queryKey,
      queryFn: async () => {
        const answer = await asked(pull, unreached);
        // What was shown stays where it could not be asked for anew.
        return { ...answer, data: answer.data ?? queries.getQueryData<Asked<T>>(queryKey)?.data };
      },
      gcTime: key ? KEPT_MS : 0,
    },
    queries,
  );
  return {
    data: data?.data,
    problem: data?.problem ?? '',
    again: async () => {
      await refetch();
    },
  };
}

/** Forgets what was pulled: somebody else uses this device now. A page that stands asks anew. */
export function forgetPulled(): void {
  queries.removeQueries({ type: 'inactive' });
  void queries.resetQueries({ type: 'active', predicate: ({ queryKey: [of] }) => of !== OF_CORE });
}

import { skipToken, useQuery } from '@tanstack/react-query';
import { OF_CORE, queries } from '../api/queries';
import type { KeptEntry } from './store';

const KEPT_MS = 60_000;

/**
 * What Core makes of entries on this device, folded again when others come; until then what it made of the same visit before.
 * undefined while it is not known, null where nothing can be made of them.
 */
export function useFolded<T>(
  what: string,
  visit: string,
  kept: KeptEntry[] | undefined,
  fold: (kept: KeptEntry[]) => Promise<T | undefined>,
): T | null | undefined {
  const { data } = useQuery(
    {
      // An entry never changes.
      queryKey: [OF_CORE, what, visit, kept?.map(({ id }) => id)],
      queryFn: kept ? async () => (await fold(kept)) ?? null : skipToken,
      placeholderData: (before, query) => (query?.queryKey[2] === visit ? before : undefined),
      gcTime: KEPT_MS,
    },
    queries,
  );
  return data;
}

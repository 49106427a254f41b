import { QueryClient } from '@tanstack/react-query';

/**
 * What the server answered and what Core worked out, for as long as a page may show it again. The pages decide when they ask anew; a
 * phone that wakes up on the water must not.
 */
export const queries = new QueryClient({
  defaultOptions: { queries: { retry: false, networkMode: 'always', refetchOnWindowFocus: false, refetchOnReconnect: false } },
});

/** How the key begins of what Core worked out on this device: who signs in does not change it. */
export const OF_CORE = 'core';

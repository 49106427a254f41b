/**
 * Where this application stands: the root of a name, or a folder of it. Its scripts lie in a folder of that place, and nobody
 * else has to say it.
 */
export const home: URL = import.meta.env.PROD ? new URL('..', import.meta.url) : new URL('/', location.href);

/** The whole address of one of this application's own, given from its root: `/api/session`. */
export function addressOf(path: string): string {
  return new URL(path.slice(1), home).href;
}

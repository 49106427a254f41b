/** Room that a long day with photographs may need, bytes. */
const ENOUGH = 30 * 1024 * 1024;

/** What the browser says of its store. */
export interface Room {
  /** True where it keeps what is stored until somebody clears it; false where it may clear it for room; undefined where it does not say. */
  lasting: boolean | undefined;
  /** Bytes that are free, where it says so and they are few. */
  little: number | undefined;
}

/** Asks the browser to keep what this device stores until somebody clears it. */
export async function askToKeep(): Promise<void> {
  try {
    if (!(await navigator.storage.persisted())) {
      await navigator.storage.persist();
    }
  } catch {
    // It does not say; the page shows that.
  }
}

export async function lookAtRoom(): Promise<Room> {
  try {
    const [lasting, { quota, usage }] = await Promise.all([navigator.storage.persisted(), navigator.storage.estimate()]);
    const free = quota === undefined || usage === undefined ? undefined : quota - usage;
    return { lasting, little: free !== undefined && free < ENOUGH ? free : undefined };
  } catch {
    return { lasting: undefined, little: undefined };
  }
}

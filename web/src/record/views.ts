/** What of a station is looked at: a parameter by its code, or one of the pages that put several together. */
export type View = string;

/** A view as an address gives it; nothing where it cannot be one. */
export function viewIn(search: Record<string, unknown>): { of?: View } {
  return typeof search.of === 'string' && /^[a-z][a-z0-9-]{0,39}$/.test(search.of) ? { of: search.of } : {};
}

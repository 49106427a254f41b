let words = '';
const listeners = new Set<() => void>();

/** What keeps this device from keeping entries; empty where nothing does. */
export function currentTrouble(): string {
  return words;
}

export function watchTrouble(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Says on every page what is wrong with the store of this device; empty once it keeps again. */
export function setTrouble(next: string): void {
  if (next !== words) {
    words = next;
    for (const listener of listeners) {
      listener();
    }
  }
}

/** A failure of the store in words that help. */
export function storeTrouble(error: Error): string {
  // Dexie wraps what the browser says.
  const names = `${error.name} ${(error as { inner?: Error }).inner?.name ?? ''} ${error.message}`;
  return names.includes('Quota')
    ? 'Not written: this device has no room left. What you typed stands in its box. Make room (photos, other pages), or write it on paper, then write it down again.'
    : `Not written: this device could not keep it (${error.message}). What you typed stands in its box. Write it down again; if that does not help, open the page anew.`;
}

/** A store that was emptied while entries waited in it, in words that help. */
export function emptiedTrouble({ lost, back }: { lost: number; back: number }): string {
  const seen = `${lost === 1 ? '1 entry was' : `${lost} entries were`} on this device only, and its store has been emptied since: by the browser, or by clearing its data.`;
  return back >= lost
    ? `${seen} All came back from the second copy.`
    : `${seen} ${back > 0 ? `${back} came back from the second copy.` : 'There is no second copy.'} If what waited was saved as a file, bring it in; else write it down again from paper.`;
}

const KEY = 'freezer-spot';

/** Where the last vial went: the next one most often goes beside it. */
export function lastSpot(): string {
  return localStorage.getItem(KEY) ?? '';
}

export function rememberSpot(spot: string): void {
  localStorage.setItem(KEY, spot.trim());
}

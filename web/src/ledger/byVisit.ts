import type { LedgerSample } from '../field/ledger';

/** Numbers of samples by their visit: each visit has an entry of its own. */
export function byVisit(samples: readonly LedgerSample[]): [string, string[]][] {
  const visits = new Map<string, string[]>();
  for (const { visit, number } of samples) {
    visits.set(visit, [...(visits.get(visit) ?? []), number]);
  }
  return [...visits];
}

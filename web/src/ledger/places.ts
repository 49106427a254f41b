import type { LedgerSample } from '../field/ledger';

/** Where samples are, as the ledger parts them. */
export const LEDGER_PLACES = ['hand', 'road', 'lab', 'ended'] as const;
export type LedgerPlace = (typeof LEDGER_PLACES)[number];

export const PLACE_NAMES: Record<LedgerPlace, string> = {
  hand: 'In our hands',
  road: 'On the road',
  lab: 'At the lab',
  ended: 'Ended',
};

const SHELVES = { freezer: 'Freezer', refrigerator: 'Refrigerator', cooler: 'Cooler', cupboard: 'Cupboard' } as const;

/** The shelf that a sample in our hands stands on. */
export function shelfOf(sample: LedgerSample): string {
  return sample.state === 'stored' && sample.in ? SHELVES[sample.in] : 'Not put away yet';
}

/** True where a sample is meant by what was typed: a part of its number, water, station or analyte. */
export function meant(sample: LedgerSample, typed: string): boolean {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const text =
    `${sample.number} ${sample.water} ${sample.station} ${sample.measures} ${sample.container} ${sample.spot ?? ''} ${sample.stateText} ${sample.day}`.toLowerCase();
  return words.every((word) => text.includes(word));
}

import type { Schemas } from '../api/client';

export type SeasonView = Schemas['SeasonView'];
export type SeasonDate = Schemas['SeasonDate'];
export type StationPlan = Schemas['StationPlan'];
export type PlannedStation = Schemas['PlannedStation'];
export type Protocol = Schemas['Protocol'];

export const PROTOCOLS: Record<Protocol, string> = {
  clarity: 'clarity',
  chlorophyll: 'chlorophyll',
  phosphorus: 'phosphorus',
  profile: 'profile',
  seawater: 'seawater bottle',
};

/** The next date of a station that is still to come. */
export function nextOf(plan: StationPlan): SeasonDate | undefined {
  return plan.dates.find((date) => date.ahead);
}

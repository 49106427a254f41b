import type { Schemas } from '../api/client';

export type SeasonView = Schemas['SeasonView'];
export type SeasonDate = Schemas['SeasonDate'];
export type StationPlan = Schemas['StationPlan'];
export type PlannedStation = Schemas['PlannedStation'];
export type Protocol = Schemas['Protocol'];

/** The next date of a station that is still to come. */
export function nextOf(plan: StationPlan): SeasonDate | undefined {
  return plan.dates.find((date) => date.ahead);
}

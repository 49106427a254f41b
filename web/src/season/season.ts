import type { Schemas } from '../api/client';

export type SeasonView = Schemas['SeasonView'];
export type SeasonDate = Schemas['SeasonDate'];
export type StationPlan = Schemas['StationPlan'];
export type PlannedStation = Schemas['PlannedStation'];
export type Protocol = Schemas['Protocol'];

/** What a season can plan. */
export const PLANNED: Protocol[] = ['clarity', 'chlorophyll', 'phosphorus', 'profile', 'seawater'];

/** What a visit takes, in a word or two. */
export function protocolName(code: Protocol): string {
  return code === 'seawater' ? 'seawater bottle' : code.replaceAll('-', ' ');
}

/** The next date of a station that is still to come. */
export function nextOf(plan: StationPlan): SeasonDate | undefined {
  return plan.dates.find((date) => date.ahead);
}

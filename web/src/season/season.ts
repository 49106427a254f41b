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

/** What fills a bottle: marked under the date. */
export const BOTTLED: readonly Protocol[] = ['chlorophyll', 'phosphorus', 'seawater'];

/** Such as "Wed 19 Aug". */
export function shortDay(day: string): string {
  return new Date(`${day.slice(0, 10)}T00:00Z`).toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });
}

/** Such as "Sun 19:30": a local time of the laboratory. */
export function dayAndTime(local: string): string {
  return `${shortDay(local).slice(0, 3)} ${local.slice(11, 16)}`;
}

export interface Outing {
  water: string;
  stops: { station: PlannedStation; date: SeasonDate }[];
}

/** What is due on a day, water by water. */
export function outingsOn(view: SeasonView, day: string): Outing[] {
  const outings = new Map<string, Outing>();
  view.plan.stations.forEach((plan, i) => {
    const station = view.stations[i];
    const date = plan.dates.find((d) => d.day === day && (d.state === 'today' || d.state === 'planned'));
    if (station && date) {
      const outing = outings.get(station.station.waterCode) ?? { water: station.station.water, stops: [] };
      outings.set(station.station.waterCode, outing);
      outing.stops.push({ station, date });
    }
  });
  return [...outings.values()];
}

/** The next date of a station that is still to come. */
export function nextOf(plan: StationPlan): SeasonDate | undefined {
  return plan.dates.find((date) => date.state === 'today' || date.state === 'planned');
}

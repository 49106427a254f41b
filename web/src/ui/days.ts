const LONG = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});
const PLAIN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });

/** "Wed 12 Aug 2026" from a local day. */
export function longDay(day: string): string {
  return LONG.format(new Date(`${day.slice(0, 10)}T00:00:00Z`)).replaceAll(',', '');
}

/** "12 August 2026" from a local day. */
export function plainDay(day: string): string {
  return PLAIN.format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
}

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' });

/** "Aug" from 8. */
export function monthName(month: number): string {
  return MONTH.format(new Date(Date.UTC(2000, month - 1, 1)));
}

/** The local clock time that an entry carries. */
export function clockTime(at: string): string {
  return at.slice(11, 16);
}

/** Whole days from one local day to another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to.slice(0, 10)}T00:00:00Z`) - Date.parse(`${from.slice(0, 10)}T00:00:00Z`)) / 86_400_000);
}

const SHORT = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** "Wed 12 Aug" from a local day. */
export function shortDay(day: string): string {
  return SHORT.format(new Date(`${day.slice(0, 10)}T00:00:00Z`)).replaceAll(',', '');
}

/** "Sun 19:30" from a local time. */
export function dayAndTime(local: string): string {
  return `${shortDay(local).slice(0, 3)} ${clockTime(local)}`;
}

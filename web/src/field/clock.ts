import { readSetting, writeSetting } from './store';

interface Clock {
  aheadMs: number;
  offsetMinutes: number | null;
  demo: boolean;
}

const device: Clock = { aheadMs: 0, offsetMinutes: null, demo: false };
let clock = device;

/** The clock of the last instance this device spoke to; the demo stands on its own day. */
export async function loadClock(): Promise<void> {
  clock = await readSetting('clock', device);
}

/** Takes over the demo's day; a real instance leaves the device's clock alone. */
export async function setClock(instance: { demo: boolean; now: string }): Promise<void> {
  const offset = /([+-])(\d\d):(\d\d)$/.exec(instance.now);
  clock = instance.demo
    ? {
        aheadMs: Date.parse(instance.now) - Date.now(),
        offsetMinutes: offset ? (offset[1] === '-' ? -1 : 1) * (Number(offset[2]) * 60 + Number(offset[3])) : 0,
        demo: true,
      }
    : device;
  await writeSetting('clock', clock);
}

/** Milliseconds since 1970, by the clock in force. */
export function nowMs(): number {
  return Date.now() + clock.aheadMs;
}

/** Now as ISO 8601 with the offset from UTC, so that the local time of a reading is never lost. */
export function nowLocal(): string {
  return localTime(nowMs());
}

/** A moment as ISO 8601 with the offset from UTC that is in force here. */
export function localTime(ms: number): string {
  const minutes = clock.offsetMinutes ?? -new Date(ms).getTimezoneOffset();
  const sign = minutes < 0 ? '-' : '+';
  const two = (value: number) => String(Math.trunc(Math.abs(value))).padStart(2, '0');
  return `${new Date(ms + minutes * 60_000).toISOString().slice(0, -1)}${sign}${two(minutes / 60)}:${two(minutes % 60)}`;
}

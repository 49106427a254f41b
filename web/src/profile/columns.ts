import type { FieldSheet, Schemas } from '../api/client';

export type Profile = NonNullable<FieldSheet['profile']>;
export type Level = Schemas['SheetLevel'];
export type LevelToRead = Schemas['LevelToRead'];

/** The boxes of a level, beside its depth. */
export const BOXES = {
  temperature: { label: 'Temperature', short: '°C' },
  oxygen: { label: 'Oxygen', short: 'mg/L' },
  conductivity: { label: 'Conductivity', short: 'µS/cm' },
  ph: { label: 'pH', short: 'pH' },
  salinity: { label: 'Salinity', short: 'sal.' },
} as const;
export type Box = keyof typeof BOXES;

/** A level as it is being typed. */
export type Typed = Partial<Record<Box, string>>;

/** What is typed, and at which level: it is held from the first key on, whatever else is read meanwhile. */
export interface Held {
  level?: LevelToRead | Level;
  typed: Typed;
}

export const NOTHING: Held = { typed: {} };

export function unitOf(profile: Profile, box: Box): string {
  return (box === 'temperature' ? profile.temperatureUnit : box === 'oxygen' ? profile.oxygenUnit : null) ?? BOXES[box].short;
}

/** The body of the entry; null where nothing but the depth is typed. */
export function bodyOf(typed: Typed, depth: Schemas['WrittenLength'], profile: Profile): Schemas['LevelBody'] | null {
  const text = (box: Box) => typed[box]?.trim() || undefined;
  const [temperature, oxygen] = [text('temperature'), text('oxygen')];
  const body: Schemas['LevelBody'] = {
    depth,
    ...(temperature && { temperature: { written: temperature, unit: profile.temperatureUnit } }),
    ...(oxygen && { oxygen: { written: oxygen, unit: profile.oxygenUnit } }),
    ...(text('conductivity') && { conductivity: text('conductivity') }),
    ...(text('ph') && { ph: text('ph') }),
    ...(text('salinity') && { salinity: text('salinity') }),
  };
  return Object.keys(body).length > 1 ? body : null;
}

/** What was written at a level, to be read again. */
export function typedOf(level: Level): Typed {
  return {
    ...(level.temperature && { temperature: level.temperature }),
    ...(level.oxygen && { oxygen: level.oxygen }),
    ...(level.conductivity != null && { conductivity: String(level.conductivity) }),
    ...(level.ph != null && { ph: String(level.ph) }),
    ...(level.salinity != null && { salinity: String(level.salinity) }),
  };
}

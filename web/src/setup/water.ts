import type { Schemas } from '../api/client';

export type Water = Schemas['Water'];
export type Station = Schemas['Station'];

export const KINDS: Record<Schemas['WaterKind'], string> = {
  lake: 'lake or tarn',
  reservoir: 'reservoir',
  pond: 'pond',
  river: 'river',
  sea: 'sea, inlet or estuary',
};

export const NEW_WATER: Water = {
  code: '',
  name: '',
  district: '',
  kind: 'lake',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  altitudeM: 0,
};

/** A code from a name: what stands in addresses. */
export function codeFrom(name: string): string {
  return name
    .normalize('NFD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40);
}

/** A number as typed; undefined where it is none. */
export function numberOf(text: string): number | undefined {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(value) ? undefined : value;
}

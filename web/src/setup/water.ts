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
  // The server makes it from the name.
  code: '',
  name: '',
  district: '',
  kind: 'lake',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  altitudeM: 0,
};

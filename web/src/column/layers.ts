import type { FieldSheet } from '../api/client';
import type { Layer } from './scale';

/** Room above and below a layer, m. */
const ROOM_M = 0.5;

/** The parts of the column that can be looked at by themselves, by name. */
export function layersOf(sheet: FieldSheet): Record<string, Layer> {
  const band = sheet.profile?.figures.find(({ key }) => key === 'metalimnion');
  const bottom = sheet.bottomM;
  if (band?.depthM != null && band.lowerM != null) {
    return {
      'upper layer': { fromM: 0, toM: Math.max(band.depthM, 0.5) },
      thermocline: { fromM: Math.max(0, band.depthM - ROOM_M), toM: Math.min(bottom, band.lowerM + ROOM_M) },
      ...(bottom - band.lowerM > ROOM_M && { 'deep layer': { fromM: band.lowerM, toM: bottom } }),
    };
  }
  return bottom > 4 ? { 'upper half': { fromM: 0, toM: bottom / 2 }, 'lower half': { fromM: bottom / 2, toM: bottom } } : {};
}

import type { LengthUnit } from '../api/client';

/** How a unit is named beside a box, and how it is typed. */
export const UNITS: Record<LengthUnit, { name: string; short: string; example: string }> = {
  m: { name: 'metres', short: 'm', example: '3.85' },
  cm: { name: 'centimetres', short: 'cm', example: '385' },
  ft: { name: 'feet', short: 'ft', example: '12.5' },
  'ft-in': { name: 'feet and inches', short: 'ft in', example: '12 9' },
  in: { name: 'inches', short: 'in', example: '153' },
};

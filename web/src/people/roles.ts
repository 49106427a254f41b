import type { Schemas } from '../api/client';

export type Role = Schemas['Role'];

export const ROLES: Record<Role, { name: string; does: string }> = {
  sampler: { name: 'Sampler', does: 'goes out and writes readings' },
  coordinator: { name: 'Coordinator', does: 'plans, sets up waters and stations, reviews' },
  laboratory: { name: 'Laboratory', does: 'receives samples and reports results' },
  reader: { name: 'Reader', does: 'reads the record' },
};

/** Such as "Sampler on Pell Tarn" or "Reader on all waters". */
export function grantWords(grant: Schemas['Grant'], waterName: (code: string) => string): string {
  return `${ROLES[grant.role].name} on ${grant.waters ? grant.waters.map(waterName).join(', ') || 'no water' : 'all waters'}`;
}

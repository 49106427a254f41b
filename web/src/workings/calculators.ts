import { bottles } from './calculations/bottles';
import { chlorophyll } from './calculations/chlorophyll';
import { clarity } from './calculations/clarity';
import { composite } from './calculations/composite';
import { density } from './calculations/density';
import { load } from './calculations/load';
import { net } from './calculations/net';
import { oxygen } from './calculations/oxygen';
import { profile } from './calculations/profile';
import { resection } from './calculations/resection';
import { salinity } from './calculations/salinity';
import { sun } from './calculations/sun';
import { tide } from './calculations/tide';
import { trend } from './calculations/trend';
import { trophic } from './calculations/trophic';
import type { Calculator } from './calculator';

/** Calculations of Core, each by itself, in the order of the work. */
export const CALCULATORS: readonly { group: string; all: readonly Calculator[] }[] = [
  { group: 'On the water', all: [clarity, composite, bottles, resection, sun, tide, net] },
  { group: 'The water', all: [oxygen, salinity, density, profile, chlorophyll, trophic, load] },
  { group: 'The record', all: [trend] },
];

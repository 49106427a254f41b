import type { Schemas } from '../api/client';

type Clarity = Schemas['ClaritySettings'];
type Composite = Schemas['CompositeSettings'];
type Plan = Schemas['ProtocolPlan'];

/** Every choice of a method, with what it means on the water. */
export const END_POINTS: Record<Clarity['endPoint'], string> = {
  disappear: 'where it is just lost',
  mean: 'mean of lost and seen again: the eye’s lag cancels',
  reappear: 'where black can be told from white again',
};

export const OBSERVERS: Record<Clarity['observers'], string> = {
  same: 'the same eyes throughout',
  swap: 'partners swap: shows the difference between eyes',
};

export const ROUNDINGS: Record<Clarity['roundTo'], string> = {
  '0.1-m': '0.1 m',
  '0.05-m': '0.05 m, by interpolation',
  '0.01-m': '0.01 m, by interpolation',
  '1-m': 'whole metre, on a metre wheel',
  '1-in': 'nearest inch',
  'quarter-ft': 'quarter foot: what a marked rope supports',
  'half-ft': 'half foot',
};

export const DEPTH_RULES: Record<Composite['depthRule'], string> = {
  factor: 'so many times today’s clarity',
  preset: 'the coordinator’s depth',
};

export const METHODS: Record<Composite['method'], string> = {
  'weighted-bottle': 'weighted bottle: free fall, slow steady rise',
  'just-fills': 'open bottle that just fills at the surface',
  'pooled-or-tube': 'whole-metre bottles to 5 m, a tube beyond',
};

export const RHYTHMS: Record<Plan['rhythm'], string> = {
  days: 'every so many days',
  monthly: 'once a month',
  once: 'once',
};

export const SAMPLE_FROM: Record<Schemas['SampleFrom'], string> = {
  composite: 'from the composite',
  surface: 'from the surface',
  deep: 'from the deep',
  layers: 'one from each layer',
  protocol: 'as its protocol takes it',
};

import { scaleLinear } from 'd3-scale';

/** Round numbers from 0 up to a value: about five of them. */
export function niceTicks(until: number): number[] {
  return scaleLinear([0, Math.max(0, until)], [0, 1]).ticks(5);
}

/** The ticks of a logarithmic axis: powers of ten, and 2 and 5 between them where they are few; the first and last are its ends. */
export function logTicks(low: number, high: number): number[] {
  const from = 10 ** Math.floor(Math.log10(low) + 1e-9);
  const until = 10 ** Math.ceil(Math.log10(high) - 1e-9);
  const decades = Math.max(1, Math.round(Math.log10(until / from)));
  const powers = Array.from({ length: decades + 1 }, (_, i) => from * 10 ** i);
  const ticks = decades > 2 ? powers : powers.flatMap((one, i) => (i < decades ? [one, one * 2, one * 5] : [one]));
  return ticks.map((one) => Number(one.toPrecision(6)));
}

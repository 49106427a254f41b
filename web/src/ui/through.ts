import { line } from 'd3-shape';

/** A line through points of a picture. */
export const through = line<{ x: number; y: number }>(
  ({ x }) => x,
  ({ y }) => y,
);

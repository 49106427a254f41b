import { scaleLinear, scalePow } from 'd3-scale';

/** Where depths lie on the page. Deep waters are drawn with more room near the surface; the ticks say so. */
const DEEP_M = 8;
const BEND = 0.62;
/** What lies deeper than the bottom is drawn a little below it. */
const BELOW = 1.04;

export interface ColumnScale {
  y(depthM: number): number;
  /** The depth at a height of the page, m. */
  depth(y: number): number;
}

/** A part of the column looked at by itself, m. */
export interface Layer {
  fromM: number;
  toM: number;
}

export function columnScale(bottomM: number, top: number, bottom: number, layer?: Layer): ColumnScale {
  if (layer) {
    const part = scaleLinear([layer.fromM, layer.toM], [top, bottom]);
    return { y: part, depth: part.invert };
  }
  const whole = scalePow([0, bottomM], [top, bottom]).exponent(bottomM > DEEP_M ? BEND : 1);
  return {
    y: (depthM) => whole(Math.min(bottomM * BELOW, Math.max(0, depthM))),
    depth: (y) => whole.invert(Math.min(bottom, Math.max(top, y))),
  };
}

export interface Label {
  key: string;
  y: number;
}

/** Moves labels apart so that none covers another, each as near to its depth as can be. */
export function spread<T extends Label>(labels: T[], gap: number, top: number, bottom: number): (T & { at: number })[] {
  const placed = [...labels].sort((a, b) => a.y - b.y).map((label) => ({ ...label, at: label.y }));
  let least = top;
  for (const label of placed) {
    label.at = Math.max(label.at, least);
    least = label.at + gap;
  }
  let most = bottom;
  for (const label of placed.toReversed()) {
    label.at = Math.min(label.at, most);
    most = label.at - gap;
  }
  return placed;
}

/** The ticks that have room, counted from the surface. */
export function withRoom<T extends { depthM: number }>(ticks: T[], scale: Pick<ColumnScale, 'y'>, gap: number): T[] {
  let last = Number.NEGATIVE_INFINITY;
  return ticks.filter((tick) => {
    const y = scale.y(tick.depthM);
    if (y - last < gap) {
      return false;
    }
    last = y;
    return true;
  });
}

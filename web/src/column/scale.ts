/** Where depths lie on the page. Deep waters are drawn with more room near the surface; the ticks say so. */
const DEEP_M = 8;
const BEND = 0.62;

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
    const perM = (bottom - top) / (layer.toM - layer.fromM);
    return { y: (depthM) => top + (depthM - layer.fromM) * perM, depth: (y) => layer.fromM + (y - top) / perM };
  }
  const power = bottomM > DEEP_M ? BEND : 1;
  return {
    y: (depthM) => top + (bottom - top) * Math.min(1.04, Math.max(0, depthM) / bottomM) ** power,
    depth: (y) => bottomM * Math.min(1, Math.max(0, (y - top) / (bottom - top))) ** (1 / power),
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

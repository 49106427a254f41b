import { line } from 'd3-shape';
import type { Schemas } from '../api/client';

type Position = Schemas['Position'];

export interface MapMark {
  at: Position;
  label: string;
  kind: 'station' | 'chosen' | 'mark' | 'corner';
}

const SIZE = 480;
const PAD = 36;
const METRES_PER_DEGREE = 111_195;
const BARS = [20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000];

interface Props {
  water: Pick<Schemas['Water'], 'name' | 'outline' | 'contours'>;
  marks: readonly MapMark[];
  /** Lines of sight, each from its landmark to the position. */
  sights?: readonly [Position, Position][];
}

/** The water from above, drawn from its own outline: no tiles, nothing fetched. North is up. */
export function SketchMap({ water, marks, sights = [] }: Props) {
  const shore = water.outline ?? [];
  const all = [...shore.flat(), ...marks.map((mark) => mark.at)];
  if (all.length === 0) {
    return (
      <p className="border border-rule bg-sheet p-4 text-dim">
        No outline yet. Bring one as GeoJSON below; positions are checked against it.
      </p>
    );
  }
  const south = Math.min(...all.map((p) => p.latitudeDeg));
  const north = Math.max(...all.map((p) => p.latitudeDeg));
  const west = Math.min(...all.map((p) => p.longitudeDeg));
  const east = Math.max(...all.map((p) => p.longitudeDeg));
  const narrow = Math.cos(((south + north) / 2) * (Math.PI / 180));
  const metres = Math.max((north - south) * METRES_PER_DEGREE, (east - west) * METRES_PER_DEGREE * narrow, 50);
  const perMetre = (SIZE - 2 * PAD) / metres;
  const width = Math.max((east - west) * METRES_PER_DEGREE * narrow * perMetre + 2 * PAD, 260);
  const height = Math.max((north - south) * METRES_PER_DEGREE * perMetre + 2 * PAD, 200);
  const x = (p: Position) => width / 2 + (p.longitudeDeg - (west + east) / 2) * METRES_PER_DEGREE * narrow * perMetre;
  const y = (p: Position) => height / 2 - (p.latitudeDeg - (south + north) / 2) * METRES_PER_DEGREE * perMetre;
  const along = line<Position>(x, y).digits(1);
  const path = (positions: readonly Position[]) => along(positions) ?? '';
  const bar = BARS.findLast((length) => length * perMetre < width / 3) ?? BARS[0] ?? 20;
  const depths = [...new Set((water.contours ?? []).map((c) => Number(c.depthM)))].sort((a, b) => a - b);
  return (
    <figure>
      <svg
        viewBox={`0 0 ${width.toFixed(0)} ${height.toFixed(0)}`}
        className="max-h-[34rem] w-full border border-rule bg-sheet"
        role="img"
        aria-label={`Sketch map of ${water.name} with ${marks.map((mark) => mark.label).join(', ') || 'no stations yet'}`}
      >
        {shore.length > 0 && (
          <path
            d={shore.map((ring) => `${path(ring)}Z`).join('')}
            fill="var(--water0)"
            stroke="var(--ink)"
            strokeWidth="1.3"
            fillRule="evenodd"
          />
        )}
        {(water.contours ?? []).map((contour, i) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: contours have no identity of their own
            key={i}
            d={path(contour.line)}
            fill="var(--water1)"
            fillOpacity={0.22}
            stroke="var(--slate)"
            strokeWidth="0.7"
          />
        ))}
        {sights.map(([from, to]) => (
          <line
            key={`${from.latitudeDeg} ${from.longitudeDeg}`}
            x1={x(from)}
            y1={y(from)}
            x2={x(to)}
            y2={y(to)}
            stroke="var(--slate)"
            strokeDasharray="5 4"
          />
        ))}
        {marks.map((mark) => (
          <g
            key={mark.kind + mark.label + mark.at.latitudeDeg + mark.at.longitudeDeg}
            transform={`translate(${x(mark.at)} ${y(mark.at)})`}
          >
            {mark.kind === 'mark' && <path d="M0 -6L5 4H-5Z" fill="var(--sheet)" stroke="var(--ink)" />}
            {mark.kind === 'corner' && <circle r="2.5" fill="var(--madder)" />}
            {(mark.kind === 'station' || mark.kind === 'chosen') && (
              <circle
                r={mark.kind === 'chosen' ? 6.5 : 5}
                fill={mark.kind === 'chosen' ? 'var(--buoy)' : 'var(--ink)'}
                stroke="var(--sheet)"
                strokeWidth="1.5"
              />
            )}
            {mark.kind !== 'corner' && (
              <text
                x={x(mark.at) > width * 0.7 ? -10 : 10}
                y="4.5"
                textAnchor={x(mark.at) > width * 0.7 ? 'end' : 'start'}
                fontSize="13"
                fontWeight={mark.kind === 'mark' ? 400 : 700}
                fill="var(--ink)"
                stroke="var(--sheet)"
                strokeWidth="3"
                paintOrder="stroke"
              >
                {mark.label}
              </text>
            )}
          </g>
        ))}
        <g transform={`translate(14 ${height - 14})`} fill="var(--ink)" fontSize="12">
          <path d={`M0 -4V0H${bar * perMetre}V-4`} fill="none" stroke="var(--ink)" strokeWidth="1.3" />
          <text x={bar * perMetre + 6} y="1">
            {bar >= 1000 ? `${bar / 1000} km` : `${bar} m`}
          </text>
        </g>
        <g transform={`translate(${width - 18} 26)`} fill="var(--ink)" fontSize="12" textAnchor="middle">
          <path d="M0 -14L4 0H-4Z" />
          <text y="13">N</text>
        </g>
      </svg>
      {depths.length > 0 && <figcaption className="mt-1 text-dim text-sm">Depth contours at {depths.join(', ')} m.</figcaption>}
    </figure>
  );
}

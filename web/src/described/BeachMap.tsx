import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../api/client';

type PointOf = Schemas['SheetPoint'];

const WIDTH = 320;
const HEIGHT = 150;
const SAND_Y = 45;
const WATER_Y = 108;

/** The points of a beach from the north, pairs joined; a pair that is crossed is drawn as it was written. */
export function BeachMap({ points }: { points: readonly PointOf[] }) {
  const x = scaleLinear([1, Math.max(2, ...points.map(({ place }) => place))], [60, WIDTH - 60]);
  return (
    <figure className="mt-3 max-w-md" aria-label={`The points of the beach, from the north: ${points.map(words).join('; ')}`}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
        <rect x="0" y="0" width={WIDTH} height="78" className="fill-paper2" />
        <rect x="0" y="78" width={WIDTH} height={HEIGHT - 78} className="fill-(--water1)" />
        <line x1="0" x2={WIDTH} y1="22" y2="22" className="stroke-dim" strokeDasharray="2 4" />
        <text x="4" y="17" className="fill-dim text-[10px]">
          wrack line
        </text>
        <text x="68" y="74" className="fill-dim text-[10px]">
          high-tide line
        </text>
        <text x={WIDTH - 4} y="17" textAnchor="end" className="fill-dim text-[10px]">
          north is left
        </text>
        {points.map(({ name, place, off }) =>
          off == null ? null : (
            <line
              key={name}
              x1={x(place)}
              y1={WATER_Y - 14}
              x2={x(off)}
              y2={SAND_Y + 14}
              className={off === place ? 'stroke-ink' : 'stroke-madder'}
              strokeWidth={off === place ? 1.5 : 3}
            />
          ),
        )}
        {points.map((point) => (
          <Point key={point.name} point={point} x={x(point.place)} />
        ))}
      </svg>
    </figure>
  );
}

function words({ name, done, off }: PointOf): string {
  return `${name} ${done ? 'taken' : 'open'}${off == null ? '' : `, off sand ${off}`}`;
}

function Point({ point, x }: { point: PointOf; x: number }) {
  const y = point.inWater ? WATER_Y : SAND_Y;
  const drawn = `${point.done ? 'fill-ink' : 'fill-sheet'} stroke-ink`;
  return (
    <>
      {point.inWater ? (
        <circle cx={x} cy={y} r="12" className={drawn} strokeWidth="2" />
      ) : (
        <rect x={x - 11} y={y - 11} width="22" height="22" className={drawn} strokeWidth="2" />
      )}
      <text x={x + 18} y={y + 4} className="fill-ink text-[11px]">
        {point.name}
      </text>
    </>
  );
}

import { contours } from 'd3-contour';
import type { Schemas } from '../api/client';
import { useComputed } from '../field/useComputed';
import { daysBetween, monthName, shortDay } from '../ui/days';
import { niceTicks } from './axis';
import { ChartFrame, type Inner, plainTicks, Upright } from './ChartFrame';

type Result = Schemas['DepthTimeResult'];

const NAMES = { oxygen: 'Oxygen, mg/L', temperature: 'Temperature, °C' } as const;
// Hypoxic and anoxic water stand out.
const OXYGEN = ['#6d1030', '#a8506a', '#d9b9a8', '#dfe3cf', '#c3d4ae', '#9fbd86', '#7ba35f', '#54823c'];
const WARMTH = [
  '#1d4f6a',
  '#2f6f8a',
  '#4c8ca0',
  '#72a8ad',
  '#9bc0b6',
  '#c3d4bd',
  '#e3dfc0',
  '#eecf9a',
  '#eab573',
  '#df9350',
  '#cc6f35',
  '#b24d22',
];

/** Depth down, a season across: contoured, visits ticked, empty where nobody was for more than 45 days. */
export function DepthTimeMap({ profiles, of }: { profiles: readonly Schemas['RecordProfile'][]; of: 'oxygen' | 'temperature' }) {
  const { data: map } = useComputed('depth-time', {
    profiles: profiles.map(({ visit, day, levels }) => ({ visit, day, levels })),
    of,
  });
  return (
    <figure className="m-0 min-w-0">
      <h2 className="caps">{NAMES[of]}</h2>
      {map && map.visits.length > 0 ? (
        <ChartFrame
          height={330}
          margins={[26, 8, 26, 44]}
          label={`${NAMES[of]} over depth in m and time, ${map.visits.length} visits. The table below gives the numbers.`}
        >
          {(inner) => <Drawing map={map} of={of} inner={inner} />}
        </ChartFrame>
      ) : (
        <div className="h-[330px]">{map && <p className="mt-4 text-dim">Not read this year.</p>}</div>
      )}
      {map && (
        <figcaption className="text-dim text-sm">
          ▾ a visit. Straight between visits and levels.{map.gaps.map((gap) => ` Left empty: ${gap}.`)}
        </figcaption>
      )}
    </figure>
  );
}

function Drawing({ map, of, inner }: { map: Result; of: 'oxygen' | 'temperature'; inner: Inner }) {
  const { left, right, top, bottom } = inner;
  const first = map.visits[0] ?? '';
  const last = map.visits.at(-1) ?? first;
  const days = Math.max(1, daysBetween(first, last));
  const deepest = map.stepM * (map.rows - 1);
  const x = (day: number) => left + (day / days) * (right - left);
  const y = (depth: number) => top + (depth / deepest) * (bottom - top);
  const levels = map.contours;
  const colours = of === 'oxygen' ? OXYGEN : WARMTH;
  return (
    <>
      <rect x={left} y={top} width={right - left} height={bottom - top} fill="var(--paper2)" />
      {map.blocks.map((block) => {
        const from = daysBetween(first, block.from);
        const known = block.values.map((value) => value ?? Number.NaN);
        const draw = contours().size([block.columns, map.rows]).smooth(true);
        const place = ([cx, cy]: number[]): string =>
          `${x(from + Math.min(block.columns - 1, Math.max(0, (cx ?? 0) - 0.5)) * block.stepDays).toFixed(1)} ${y(Math.min(map.rows - 1, Math.max(0, (cy ?? 0) - 0.5)) * map.stepM).toFixed(1)}`;
        return (
          <g key={block.from}>
            {[Number.NEGATIVE_INFINITY, ...levels].map((level, i) => {
              const values =
                level === Number.NEGATIVE_INFINITY ? known.map((value) => (Number.isNaN(value) ? Number.NaN : 1)) : known;
              const { coordinates } = draw.contour(values, level === Number.NEGATIVE_INFINITY ? 0.5 : level);
              const d = coordinates.map((polygon) => polygon.map((ring) => `M${ring.map(place).join('L')}Z`).join('')).join('');
              return d ? (
                <path
                  key={level}
                  d={d}
                  fill={colours[i] ?? 'none'}
                  stroke={i > 0 ? 'var(--ink)' : 'none'}
                  strokeWidth="0.5"
                  strokeOpacity="0.5"
                  fillRule="evenodd"
                />
              ) : null;
            })}
          </g>
        );
      })}
      <Upright inner={inner} ticks={plainTicks(niceTicks(deepest))} y={y} unit="m" />
      {map.visits.map((day) => (
        <path key={day} d={`M${x(daysBetween(first, day))} ${top - 1}l-4 -7h8Z`} fill="var(--ink)">
          <title>{shortDay(day)}</title>
        </path>
      ))}
      {monthStarts(first, last).map((day) => (
        <text key={day} x={x(daysBetween(first, day))} y={bottom + 17} textAnchor="middle" fill="var(--dim)">
          {monthName(Number(day.slice(5, 7))).slice(0, 3)}
        </text>
      ))}
      <Legend levels={levels} colours={colours} x={right} y={top + 6} low={map.low} high={map.high} />
    </>
  );
}

/** The first days of months between two days. */
function monthStarts(first: string, last: string): string[] {
  const starts: string[] = [];
  for (let [year, month] = [Number(first.slice(0, 4)), Number(first.slice(5, 7)) + 1]; ; month++) {
    if (month > 12) {
      year++;
      month = 1;
    }
    const day = `${year}-${String(month).padStart(2, '0')}-01`;
    if (day > last) {
      return starts;
    }
    starts.push(day);
  }
}

function Legend({
  levels,
  colours,
  x,
  y,
  low,
  high,
}: {
  levels: readonly number[];
  colours: readonly string[];
  x: number;
  y: number;
  low: number;
  high: number;
}) {
  const shown = levels
    .map((level, i) => ({ level, colour: colours[i + 1] }))
    .filter(({ level }) => level >= low - 2 && level <= high);
  return (
    <g>
      <rect x={x - 52} y={y} width={50} height={shown.length * 15 + 8} fill="var(--sheet)" opacity="0.88" />
      {shown.toReversed().map(({ level, colour }, i) => (
        <g key={level}>
          <rect x={x - 48} y={y + 4 + i * 15} width="14" height="13" fill={colour} stroke="var(--ink)" strokeWidth="0.4" />
          <text x={x - 29} y={y + 15 + i * 15} fontSize="12" fill="var(--ink)">
            {level}
          </text>
        </g>
      ))}
    </g>
  );
}

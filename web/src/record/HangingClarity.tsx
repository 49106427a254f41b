import type { ClarityPoint, Schemas } from '../api/client';
import { withRoom } from '../column/scale';
import { useSize } from '../column/useSize';
import { plainDay } from '../ui/days';

type Years = Schemas['ClarityYearsResult'];
type Year = Schemas['ClarityYear'];

const TOP = 40;
const LEFT = 52;

/** Clarity hanging from the surface: years across, depth down, a year's mean at the end of its line, every reading beside it. */
export function HangingClarity({ years, least, pending, marked }: Omit<Drawn, 'width' | 'height'>) {
  const [frame, { width }] = useSize<HTMLDivElement>();
  return (
    <figure className="m-0 min-w-0">
      <div ref={frame} className="relative h-[26rem] w-full sm:h-[27rem]">
        {width > 0 && <Chart years={years} least={least} pending={pending} marked={marked} width={width} height={432} />}
      </div>
      <figcaption className="mt-2 flex flex-wrap gap-x-6 gap-y-1 text-dim text-sm">
        <span>
          <b className="text-slate">●</b> year’s mean, or ▬ median where some lay on the bottom
        </span>
        <span>
          <b className="text-ink">·</b> one reading
        </span>
        <span>↓ deeper than the water; a dashed line where most were</span>
        <span>○ on this device only, or a stop is open</span>
      </figcaption>
    </figure>
  );
}

interface Drawn {
  years: Years;
  /** Readings that a year's mean needs. */
  least: number;
  pending: ReadonlySet<string>;
  marked: string | undefined;
  width: number;
  height: number;
}

function Chart({ years, least, pending, marked, width, height }: Drawn) {
  const right = width - 8;
  const bottom = height - 20;
  const step = (right - LEFT) / years.years.length;
  const first = years.years[0]?.year ?? 0;
  const floor = years.deepestM * 1.12;
  const y = (depth: number) => TOP + (bottom - TOP) * (depth / floor);
  const middle = (year: number) => LEFT + step * (year - first + 0.5);
  const every = step < 26 ? 2 : 1;
  const half = Math.min(10, step * 0.28);
  const label = marked ? years.points.find((p) => p.visit === marked) : undefined;
  return (
    <svg
      width={width}
      height={height}
      className="absolute inset-0"
      role="img"
      aria-label={`Clarity by year, ${years.years.length} years, depth downward in ${years.scale.unit}. The table gives the same numbers.`}
      fontSize="13"
      fontFamily="var(--font-mono)"
    >
      <rect x={LEFT} y={TOP} width={right - LEFT} height={bottom - TOP} fill="var(--water0)" />
      {withRoom(years.scale.ticks, { y }, 24)
        .filter((tick) => y(tick.depthM) <= bottom)
        .map((tick) => (
          <g key={tick.depthM}>
            <path d={`M${LEFT} ${y(tick.depthM)}H${right}`} stroke="var(--sheet)" strokeWidth="2" />
            <text x={LEFT - 8} y={y(tick.depthM) + 4.5} textAnchor="end" fill="var(--dim)">
              {tick.label}
            </text>
          </g>
        ))}
      <text x={LEFT - 8} y={TOP - 18} textAnchor="end" fill="var(--dim)">
        {years.scale.unit}
      </text>
      <path d={`M${LEFT - 6} ${TOP}H${right}`} stroke="var(--ink)" strokeWidth="2" />
      {years.years.map(
        (year) =>
          year.enough &&
          year.lowM != null &&
          year.highM != null && (
            <rect
              key={year.year}
              x={middle(year.year) - half}
              y={y(year.lowM)}
              width={half * 2}
              height={Math.max(2, y(year.highM) - y(year.lowM))}
              fill="var(--water1)"
              opacity="0.55"
            />
          ),
      )}
      {years.points
        .filter((p) => p.visit !== marked)
        .map((point) => (
          <Reading
            key={point.visit}
            point={point}
            x={middle(Number(point.date.slice(0, 4))) + step * 0.38 * dayInSeason(point.date)}
            y={y(point.clarityM)}
            hollow={pending.has(point.visit) || !point.usable}
            marked={false}
          />
        ))}
      {years.years.map((year) => (
        <YearLine
          key={year.year}
          year={year}
          x={middle(year.year)}
          y={y}
          least={step < 44 ? 0 : least}
          name={(year.year - first) % every === 0}
        />
      ))}
      {label && (
        <Reading
          point={label}
          x={middle(Number(label.date.slice(0, 4))) + step * 0.38 * dayInSeason(label.date)}
          y={y(label.clarityM)}
          hollow={pending.has(label.visit) || !label.usable}
          marked
        />
      )}
      {label && (
        <text
          x={Math.min(right - 4, middle(Number(label.date.slice(0, 4))) + step * 0.4)}
          y={y(label.clarityM) + 26}
          textAnchor="end"
          fill="var(--buoy)"
          stroke="var(--water0)"
          strokeWidth="4"
          paintOrder="stroke"
          fontWeight="700"
        >
          {label.text}
        </text>
      )}
    </svg>
  );
}

/** From -1 in January to 1 in December, so that readings of a year stand side by side in their order. */
function dayInSeason(day: string): number {
  return (Number(day.slice(5, 7)) - 1 + Number(day.slice(8, 10)) / 31) / 6 - 1;
}

function YearLine({
  year,
  least,
  x,
  y,
  name,
}: {
  year: Year;
  least: number;
  x: number;
  y: (depth: number) => number;
  name: boolean;
}) {
  const depth = year.meanM ?? year.medianM;
  return (
    <g>
      <title>{`${year.year}: ${year.text}`}</title>
      {name && (
        <text x={x} y={TOP - 12} textAnchor="middle" fill="var(--dim)">
          {String(year.year).slice(2)}
        </text>
      )}
      {depth != null && <path d={`M${x} ${TOP}V${y(depth)}`} stroke="var(--slate)" strokeWidth="1.5" />}
      {year.meanM != null && <circle cx={x} cy={y(year.meanM)} r="6" fill="var(--slate)" />}
      {year.meanM == null && year.medianM != null && (
        <rect x={x - 7} y={y(year.medianM) - 3} width="14" height="6" fill="var(--slate)" />
      )}
      {year.enough && depth == null && year.highM != null && (
        <path
          d={`M${x} ${TOP}V${y(year.highM)}m-5 -6l5 6l5 -6`}
          stroke="var(--slate)"
          strokeWidth="1.5"
          strokeDasharray="5 3"
          fill="none"
        />
      )}
      {!year.enough && (
        <text x={x} y={y(0) + 18} textAnchor="middle" fill="var(--dim)" fontSize="12">
          {year.count === 0 ? '–' : least > 0 ? `${year.count} of ${least}` : ''}
        </text>
      )}
    </g>
  );
}

function Reading({
  point,
  x,
  y,
  hollow,
  marked,
}: {
  point: ClarityPoint;
  x: number;
  y: number;
  hollow: boolean;
  marked: boolean;
}) {
  const colour = marked ? 'var(--buoy)' : 'var(--ink)';
  return (
    <g data-visit={point.visit}>
      <title>{`${plainDay(point.date)}: ${point.text}`}</title>
      {point.censored && <path d={`M${x} ${y}v9m-3 -4l3 4l3 -4`} stroke={colour} fill="none" strokeWidth="1.2" />}
      <circle
        cx={x}
        cy={y}
        r={marked ? 6 : hollow ? 3.5 : 2}
        fill={hollow ? 'var(--sheet)' : colour}
        stroke={colour}
        strokeWidth={marked ? 2.5 : 1.3}
      />
    </g>
  );
}

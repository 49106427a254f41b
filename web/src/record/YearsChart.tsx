import { scaleLinear, scaleLog } from 'd3-scale';
import { area, line as path } from 'd3-shape';
import { withRoom } from '../column/scale';
import { plainDay } from '../ui/days';
import { logTicks, niceTicks } from './axis';
import { ChartFrame, type Inner, Over, plainTicks, Upright } from './ChartFrame';
import type { Trend } from './series';

type Year = Trend['years'][number];
type Point = Trend['points'][number];

interface Drawn {
  trend: Trend;
  /** Visits with something that is on this device only. */
  pending: ReadonlySet<string>;
  marked?: string | undefined;
  /** Somebody else's numbers, to be drawn across. */
  limits?: readonly { id: string; name: string; value: number }[];
  onVisit?(visit: string): void;
  height?: number;
  /** Without the key to its signs: somebody else gives it. */
  plain?: boolean;
}

/**
 * A series by year: a depth hangs from the surface, anything else stands on the axis. Each year's value with its spread, every
 * reading beside it, the trend with its band.
 */
export function YearsChart(props: Drawn) {
  const { trend, height = 416, plain = false } = props;
  return (
    <figure className="m-0 min-w-0">
      <ChartFrame
        height={height}
        margins={[40, 10, trend.scale ? 20 : 34, 56]}
        label={`${trend.name} by year in ${trend.scale?.unit ?? trend.unit}, ${trend.years.length} years. The table below gives the same numbers.`}
      >
        {(inner) => <Chart {...props} inner={inner} />}
      </ChartFrame>
      <figcaption hidden={plain} className="mt-2 flex flex-wrap gap-x-6 gap-y-1 text-dim text-sm">
        <span>
          <b className="text-slate">{trend.statistic === 'mean' ? '●' : '▬'}</b> {trend.statistic.replaceAll('-', ' ')} of a year
        </span>
        <span>
          <b className="text-ink">·</b> one reading
        </span>
        <span>○ provisional, or on this device only</span>
        {trend.points.some(({ censored }) => censored !== 'none') && (
          <span>{trend.scale ? '↓ deeper than the water' : '↓ below what can be seen'}</span>
        )}
        {(trend.running?.length ?? 0) > 1 && (
          <span>
            <b className="text-buoy">—</b> {trend.running?.at(-1)?.text}
          </span>
        )}
        {trend.smooth && (
          <span>
            <b className="text-reed">—</b> smoothed, for the eye
          </span>
        )}
        {trend.line && (
          <span>
            <b className="text-slate">╌</b>{' '}
            {trend.verdict === 'none' || trend.verdict === 'censored'
              ? 'slope that chance explains, and its band'
              : 'trend and its band'}
          </span>
        )}
      </figcaption>
    </figure>
  );
}

function Chart({ trend, pending, marked, limits = [], onVisit, plain, inner }: Drawn & { inner: Inner }) {
  const { left, right, top, bottom } = inner;
  const step = (right - left) / Math.max(1, trend.years.length);
  const first = trend.years[0]?.year ?? 0;
  const reach =
    Math.max(trend.greatest, ...limits.map(({ value }) => value), ...(trend.line ?? []).map(({ high }) => high)) * 1.1 || 1;
  // A logarithmic axis has no 0: what is drawn from the axis begins at its lowest tick.
  const least = trend.points.reduce((low, { value }) => (value > 0 ? Math.min(low, value) : low), reach);
  const decades = trend.log ? logTicks(least, reach) : undefined;
  const across = decades
    ? scaleLog([decades[0] as number, decades.at(-1) as number], [bottom, top]).clamp(true)
    : scaleLinear([0, reach], trend.scale ? [top, bottom] : [bottom, top]);
  const y = (value: number) => across(value);
  const middle = (year: number) => left + step * (year - first + 0.5);
  const atDay = (day: string) => middle(Number(day.slice(0, 4))) + step * 0.38 * dayInSeason(day);
  const at = (point: Point) => atDay(point.day);
  const running = plain ? [] : (trend.running ?? []);
  const every = Math.max(1, Math.ceil(30 / step));
  const half = Math.min(10, step * 0.28);
  const ticks = trend.scale
    ? withRoom(trend.scale.ticks, { y }, 24).map(({ depthM, label }) => ({ value: depthM, label }))
    : plainTicks(decades ?? niceTicks(reach));
  const label = marked ? trend.points.find((point) => point.visit === marked) : undefined;
  const hollow = (point: Point) => pending.has(point.visit) || !point.usable || !point.signedOff;
  const line = (trend.line ?? []).filter(({ year }) => year >= first);
  type At = NonNullable<Trend['line']>[number];
  const through = path<At>(
    (one) => middle(one.year),
    (one) => y(one.value),
  );
  const along = path<(typeof running)[number]>(
    (one) => atDay(one.day),
    (one) => y(one.value),
  );
  const band = area<At>(
    (one) => middle(one.year),
    (one) => y(one.low),
    (one) => y(one.high),
  );
  const smooth = plain ? [] : (trend.smooth ?? []);
  return (
    <>
      <Upright
        inner={inner}
        ticks={ticks.filter(({ value }) => y(value) <= bottom + 1 && y(value) >= top - 1)}
        y={y}
        unit={trend.scale?.unit ?? trend.unit}
        unitAbove={18}
        fill={trend.scale ? 'var(--water0)' : 'var(--sheet)'}
        lines={trend.scale ? 'var(--sheet)' : 'var(--paper2)'}
      />
      <path d={`M${left - 6} ${trend.scale ? top : bottom}H${right}`} stroke="var(--ink)" strokeWidth="2" />
      {line.length > 1 && <path d={band(line) ?? ''} fill="var(--slate)" opacity="0.14" />}
      {trend.years.map(
        (year) =>
          year.enough &&
          year.low != null &&
          year.high != null && (
            <rect
              key={year.year}
              x={middle(year.year) - half}
              y={Math.min(y(year.low), y(year.high))}
              width={half * 2}
              height={Math.max(2, Math.abs(y(year.high) - y(year.low)))}
              fill="var(--water1)"
              opacity="0.55"
            />
          ),
      )}
      {limits.map(({ id, name, value }) => (
        <g key={id}>
          <path d={`M${left} ${y(value)}H${right}`} stroke="var(--buoy)" strokeDasharray="8 4" strokeWidth="1.4" />
          <Over rim="var(--sheet)" x={right - 4} y={y(value) - 5} textAnchor="end" fill="var(--buoy)">
            {name}
          </Over>
        </g>
      ))}
      {trend.points
        .filter((point) => point.visit !== marked)
        .map((point) => (
          <Reading
            key={point.visit}
            point={point}
            x={at(point)}
            y={y(point.value)}
            hollow={hollow(point)}
            marked={false}
            onVisit={onVisit}
          />
        ))}
      {trend.years.map((year) => (
        <YearValue
          key={year.year}
          year={year}
          x={middle(year.year)}
          y={y}
          base={trend.scale ? top : bottom}
          named={trend.scale ? top - 12 : bottom + 18}
          least={step < 44 ? 0 : trend.least}
          name={(year.year - first) % every === 0}
        />
      ))}
      {trend.breaks.map((change) => {
        const x = left + step * (Number(change.day.slice(0, 4)) - first) + 1;
        const words = `${change.joined ? 'joined: ' : ''}${newInIt(change)}`;
        const room = right - x > words.length * 7.4 + 10;
        return (
          <g key={change.day}>
            <title>{`${plainDay(change.day)}: ${change.before}, then ${change.after}`}</title>
            <path d={`M${x} ${top}V${bottom}`} stroke="var(--madder)" strokeDasharray="2 3" strokeWidth="1.5" />
            <Over x={room ? x + 6 : x - 6} y={bottom - 8} textAnchor={room ? 'start' : 'end'} fill="var(--madder)" fontSize="12">
              {words}
            </Over>
          </g>
        );
      })}
      {trend.years.map(({ year }) => (
        <path
          key={year}
          d={along(running.filter(({ day }) => Number(day.slice(0, 4)) === year)) ?? ''}
          stroke="var(--buoy)"
          strokeWidth="2"
          fill="none"
        />
      ))}
      {smooth.length > 2 && <path d={through(smooth) ?? ''} stroke="var(--reed)" strokeWidth="1.4" fill="none" />}
      {line.length > 1 && (
        <path d={through(line) ?? ''} stroke="var(--slate)" strokeWidth="2.4" strokeDasharray="9 5" fill="none" />
      )}
      {label && <Reading point={label} x={at(label)} y={y(label.value)} hollow={hollow(label)} marked onVisit={onVisit} />}
      {label && (
        <Over
          x={Math.min(right - 4, at(label) + step * 0.4)}
          y={y(label.value) + 26}
          textAnchor="end"
          fill="var(--buoy)"
          fontWeight="700"
        >
          {label.text}
        </Over>
      )}
    </>
  );
}

/** What of a method was not in the one before it. */
function newInIt({ before, after }: Trend['breaks'][number]): string {
  const old = new Set(before.split(/[,;] /));
  const parts = after.split(/[,;] /).filter((part) => !old.has(part));
  return parts.length > 0 ? parts.join(', ') : after;
}

/** From -1 in January to 1 in December, so that readings of a year stand side by side in their order. */
function dayInSeason(day: string): number {
  return (Number(day.slice(5, 7)) - 1 + Number(day.slice(8, 10)) / 31) / 6 - 1;
}

function YearValue({
  year,
  least,
  x,
  y,
  base,
  named,
  name,
}: {
  year: Year;
  least: number;
  x: number;
  y: (value: number) => number;
  base: number;
  named: number;
  name: boolean;
}) {
  const known = year.censored === 'none' ? year.value : undefined;
  const mean = known != null && year.mean != null && known === year.mean;
  const fill = year.provisional ? 'var(--sheet)' : 'var(--slate)';
  const down = year.value != null && y(year.value) > base ? 1 : -1;
  return (
    <g>
      <title>{`${year.name}: ${year.text}${year.provisional ? ', provisional' : ''}`}</title>
      {name && (
        <text x={x} y={named} textAnchor="middle" fill="var(--dim)">
          {year.name.slice(2)}
        </text>
      )}
      {known != null && <path d={`M${x} ${base}V${y(known)}`} stroke="var(--slate)" strokeWidth="1.5" />}
      {mean && known != null && <circle cx={x} cy={y(known)} r="6" fill={fill} stroke="var(--slate)" strokeWidth="2" />}
      {!mean && known != null && (
        <rect x={x - 7} y={y(known) - 3} width="14" height="6" fill={fill} stroke="var(--slate)" strokeWidth="1.5" />
      )}
      {known == null && year.value != null && (
        <path
          d={`M${x} ${base}V${y(year.value)}m-5 ${-6 * down}l5 ${6 * down}l5 ${-6 * down}`}
          stroke="var(--slate)"
          strokeWidth="1.5"
          strokeDasharray="5 3"
          fill="none"
        />
      )}
      {!year.enough && (
        <text x={x} y={base + (base < 100 ? 18 : -8)} textAnchor="middle" fill="var(--dim)" fontSize="12">
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
  onVisit,
}: {
  point: Point;
  x: number;
  y: number;
  hollow: boolean;
  marked: boolean;
  onVisit?: ((visit: string) => void) | undefined;
}) {
  const colour = marked ? 'var(--buoy)' : 'var(--ink)';
  return (
    // The table gives the same by keyboard; here a click is a shortcut.
    // biome-ignore lint/a11y/noStaticElementInteractions: the visits stand in the table as links
    <g data-visit={point.visit} onClick={() => onVisit?.(point.visit)} className={onVisit ? 'cursor-pointer' : ''}>
      <title>{`${plainDay(point.day)}: ${point.text}${hollow ? ', provisional' : ''}`}</title>
      {point.censored === 'above' && <path d={`M${x} ${y}v9m-3 -4l3 4l3 -4`} stroke={colour} fill="none" strokeWidth="1.2" />}
      {point.censored === 'below' && <path d={`M${x} ${y}v9m-3 -4l3 4l3 -4`} stroke={colour} fill="none" strokeWidth="1.2" />}
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

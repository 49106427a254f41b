import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Schemas, StationRecord } from '../api/client';
import { useComputed, useComputedAll } from '../field/useComputed';
import { useAppearance } from '../ui/appearance';
import { plainDay } from '../ui/days';
import { through } from '../ui/through';
import { Worked } from '../ui/Worked';
import { niceTicks } from './axis';
import { ChartFrame, type Inner, plainTicks, Upright } from './ChartFrame';
import { DataTable } from './DataTable';
import { nativeOf, seriesOf, type Trend, useClarities, useTrend } from './series';

type Trophic = Schemas['TrophicResult'];
type Curves = Schemas['ChlorophyllClarityResult'];

interface Pair {
  visit: string;
  day: string;
  clarityM: number;
  ugL: number;
}

/** The year's value of a series, where it is known. */
function yearsValue(trend: Trend | undefined, year: number): number | undefined {
  const found = trend?.years.find((one) => one.year === year);
  return found?.censored === 'none' ? (found.value ?? undefined) : undefined;
}

function useThree(code: string, record: StationRecord, given?: Trend) {
  const { reader } = useAppearance();
  const { points } = useClarities(code, record);
  const native = nativeOf(record);
  const options = { native, reader, yearsOnly: true };
  const clarity = useTrend(given ? undefined : points && seriesOf(record, 'clarity', points), options).trend ?? given;
  const chlorophyll = useTrend(seriesOf(record, 'chlorophyll', []), options).trend;
  const phosphorus = useTrend(seriesOf(record, 'phosphorus', []), options).trend;
  return { clarity, chlorophyll, phosphorus };
}

const NAMES = { clarity: 'clarity', chlorophyll: 'chlorophyll', phosphorus: 'phosphorus' } as const;

/** Clarity, chlorophyll and phosphorus of the last year side by side, with the reading of their differences; never one number. */
export function TogetherAside({ record, clarity }: { record: StationRecord; clarity: Trend }) {
  const { reader } = useAppearance();
  const three = useThree(record.context.station.code, record, clarity);
  const year = clarity.years.findLast((one) => one.value != null && one.censored === 'none')?.year;
  const request = {
    clarityM: year === undefined ? undefined : yearsValue(clarity, year),
    chlorophyllUgL: year === undefined ? undefined : yearsValue(three.chlorophyll, year),
    phosphorusUgL: year === undefined ? undefined : yearsValue(three.phosphorus, year),
    native: nativeOf(record),
    reader,
  };
  const { data: trophic } = useComputed('trophic', year === undefined ? undefined : request);
  if (!trophic || trophic.indices.length < 2) {
    return null;
  }
  return (
    <>
      <h2 className="caps mt-5">Together, {year}</h2>
      <table className="mt-1 w-full">
        <thead className="sr-only">
          <tr>
            <th>what</th>
            <th>value</th>
            <th>trophic index</th>
          </tr>
        </thead>
        <tbody>
          {trophic.indices.map((index) => (
            <tr key={index.of} className="border-rule border-t">
              <td className="py-1">{NAMES[index.of]}</td>
              <td className="num py-1 text-right">{index.text}</td>
              <td className="py-1 pl-4 text-right">
                <Worked working={index.working}>{Math.round(index.index)}</Worked>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {trophic.reading.map((words) => (
        <p key={words} className="mt-1 text-dim text-sm">
          {words}
        </p>
      ))}
    </>
  );
}

/** The trophic triplet through the years, and chlorophyll against clarity of the same day. */
export function TogetherPage({ code, record }: { code: string; record: StationRecord }) {
  const { clarity, chlorophyll, phosphorus } = useThree(code, record);
  const { points } = useClarities(code, record);
  const years = [
    ...new Set([clarity, chlorophyll, phosphorus].flatMap((trend) => trend?.years.map(({ year }) => year) ?? [])),
  ].toSorted();
  const rows = years.map((year) => ({
    year,
    clarityM: yearsValue(clarity, year),
    chlorophyllUgL: yearsValue(chlorophyll, year),
    phosphorusUgL: yearsValue(phosphorus, year),
  }));
  const answers = useComputedAll(
    'trophic',
    rows.map(({ year: _, ...request }) => request),
  );
  const pairs = (seriesOf(record, 'chlorophyll', [])?.points ?? []).flatMap((point) => {
    const same = points?.find(({ visit, censored, usable }) => visit === point.visit && !censored && usable);
    return same && point.censored === 'none'
      ? [{ visit: point.visit, day: point.day, clarityM: same.clarityM, ugL: point.value }]
      : [];
  });
  const last = answers.at(-1)?.reading ?? [];
  return (
    <>
      <h1 className="mt-3 text-2xl sm:text-3xl">Clarity, chlorophyll and phosphorus side by side</h1>
      <p className="mt-1 max-w-prose text-dim">
        Each index stands for itself; ten more is half the clarity. The three are never made one number.{' '}
        {last.length > 0 && `In ${years.at(-1)}: ${last.join(' ')}`}
      </p>
      <div className="mt-3 grid gap-8 lg:grid-cols-2">
        <IndexChart
          rows={rows.map(({ year }, i) => ({ year, indices: answers[i]?.indices ?? [] }))}
          classes={answers[0]?.classes ?? []}
        />
        <Scatter pairs={pairs} />
      </div>
      <DataTable
        title="By year"
        file={`${code}-trophic`}
        rows={rows.map((row, i) => ({ ...row, indices: answers[i]?.indices ?? [] })).toReversed()}
        columns={[
          { name: 'year', of: ({ year }) => year },
          { name: 'clarity', unit: 'm', of: ({ clarityM }) => clarityM },
          { name: 'chlorophyll', unit: 'µg/L', of: ({ chlorophyllUgL }) => chlorophyllUgL },
          { name: 'phosphorus', unit: 'µg/L', of: ({ phosphorusUgL }) => phosphorusUgL },
          { name: 'index of clarity', of: ({ indices }) => indexOf(indices, 'clarity') },
          { name: 'index of chlorophyll', of: ({ indices }) => indexOf(indices, 'chlorophyll') },
          { name: 'index of phosphorus', of: ({ indices }) => indexOf(indices, 'phosphorus') },
        ]}
      />
      <DataTable
        title="Chlorophyll and clarity of one day"
        file={`${code}-chlorophyll-clarity`}
        rows={pairs.toReversed()}
        visitOf={({ visit }) => visit}
        columns={[
          { name: 'day', of: ({ day }) => day, shown: ({ day }) => plainDay(day) },
          { name: 'clarity', unit: 'm', of: ({ clarityM }) => clarityM },
          { name: 'chlorophyll', unit: 'µg/L', of: ({ ugL }) => ugL },
        ]}
      />
    </>
  );
}

interface IndexRow {
  year: number;
  indices: Trophic['indices'];
}

function indexOf(indices: Trophic['indices'], of: keyof typeof NAMES): number | undefined {
  return indices.find((index) => index.of === of)?.index;
}

const SHAPES = { clarity: '●', chlorophyll: '■', phosphorus: '▲' } as const;
const COLOURS = { clarity: 'var(--slate)', chlorophyll: 'var(--reed)', phosphorus: 'var(--madder)' } as const;

function IndexChart({ rows, classes }: { rows: IndexRow[]; classes: Trophic['classes'] }) {
  const present = (['clarity', 'chlorophyll', 'phosphorus'] as const).filter((of) =>
    rows.some(({ indices }) => indexOf(indices, of) != null),
  );
  return (
    <figure className="m-0 min-w-0">
      <ChartFrame
        height={340}
        margins={[24, 10, 30, 44]}
        label="Trophic index of clarity, chlorophyll and phosphorus by year; the table below gives the numbers."
      >
        {(inner) => <Indices rows={rows} classes={classes} present={present} inner={inner} />}
      </ChartFrame>
      <figcaption className="mt-1 flex flex-wrap gap-x-5 text-dim text-sm">
        {present.map((of) => (
          <span key={of}>
            <b style={{ color: COLOURS[of] }}>{SHAPES[of]}</b> {of}
          </span>
        ))}
        <span>trophic index, without a unit</span>
      </figcaption>
    </figure>
  );
}

function Indices({
  rows,
  classes,
  present,
  inner,
}: {
  rows: IndexRow[];
  classes: Trophic['classes'];
  present: (keyof typeof NAMES)[];
  inner: Inner;
}) {
  const { left, right, top, bottom } = inner;
  const all = rows.flatMap(({ indices }) => indices.map(({ index }) => index));
  const low = Math.max(0, 10 * Math.floor(Math.min(40, ...all) / 10) - 10);
  const high = 10 * Math.ceil(Math.max(50, ...all) / 10) + 10;
  const y = (index: number) => bottom - ((Math.min(high, Math.max(low, index)) - low) / (high - low)) * (bottom - top);
  const step = (right - left) / Math.max(1, rows.length);
  const x = (i: number) => left + step * (i + 0.5);
  return (
    <>
      {classes.map(({ name, from, until }, i) => {
        const [above, below] = [y(until ?? high), y(from)];
        return (
          below - above > 1 && (
            <g key={name}>
              <rect
                x={left}
                y={above}
                width={right - left}
                height={below - above}
                fill={i % 2 ? 'var(--paper2)' : 'var(--sheet)'}
              />
              <text x={right - 6} y={above + 15} textAnchor="end" fill="var(--dim)" fontFamily="var(--font-sans)" fontSize="12">
                {name}
              </text>
            </g>
          )
        );
      })}
      <Upright inner={inner} ticks={plainTicks(Array.from({ length: (high - low) / 10 + 1 }, (_, i) => low + i * 10))} y={y} />
      {rows.map(
        ({ year }, i) =>
          i % Math.max(1, Math.ceil(30 / step)) === 0 && (
            <text key={year} x={x(i)} y={bottom + 18} textAnchor="middle" fill="var(--dim)">
              {String(year).slice(2)}
            </text>
          ),
      )}
      {present.map((of) => {
        const drawn = rows.flatMap(({ indices, year }, i) => {
          const index = indexOf(indices, of);
          return index == null ? [] : [{ x: x(i), y: y(index), year, index }];
        });
        return (
          <g key={of} fill={COLOURS[of]}>
            <path d={through(drawn) ?? ''} stroke={COLOURS[of]} strokeWidth="1.2" fill="none" opacity="0.5" />
            {drawn.map((one) => (
              <g key={one.year}>
                <title>{`${one.year}: ${of} ${one.index}`}</title>
                {of === 'clarity' ? (
                  <circle cx={one.x} cy={one.y} r="4.5" />
                ) : of === 'chlorophyll' ? (
                  <rect x={one.x - 4} y={one.y - 4} width="8" height="8" />
                ) : (
                  <path d={`M${one.x} ${one.y - 5.5}l5.5 9h-11Z`} />
                )}
              </g>
            ))}
          </g>
        );
      })}
    </>
  );
}

/** Chlorophyll against clarity of the same visit. */
function Scatter({ pairs }: { pairs: Pair[] }) {
  const { data: curves } = useComputed('chlorophyll-clarity', {
    pairs: pairs.map(({ ugL, clarityM }) => ({ chlorophyllUgL: ugL, clarityM })),
  });
  return (
    <figure className="m-0 min-w-0">
      <ChartFrame
        height={340}
        margins={[24, 12, 42, 52]}
        label={`Chlorophyll against clarity, ${pairs.length} visits; the table below gives the numbers.`}
      >
        {(inner) => <Pairs pairs={pairs} curves={curves} inner={inner} />}
      </ChartFrame>
      <figcaption className="mt-1 text-dim text-sm">
        <b className="text-reed">●</b> one visit · <b className="text-slate">╌</b> what algae alone would leave; above it
        something else dims the water
        {curves?.own && (
          <>
            {' '}
            · <b className="text-reed">—</b> the station’s own curve
          </>
        )}
        . {curves?.text}
      </figcaption>
    </figure>
  );
}

function Pairs({ pairs, curves, inner }: { pairs: Pair[]; curves: Curves | undefined; inner: Inner }) {
  const { left, right, top, bottom } = inner;
  const mostC = Math.max(1, ...pairs.map(({ clarityM }) => clarityM)) * 1.08;
  const mostU = Math.max(1, ...pairs.map(({ ugL }) => ugL)) * 1.08;
  const x = scaleLinear([0, mostU], [left, right]);
  const y = scaleLinear([0, mostC], [top, bottom]);
  const curve = line<{ chlorophyllUgL: number; clarityM: number }>(
    ({ chlorophyllUgL }) => x(chlorophyllUgL),
    ({ clarityM }) => y(clarityM),
  ).defined(({ clarityM }) => clarityM <= mostC);
  return (
    <>
      <Upright inner={inner} ticks={plainTicks(niceTicks(mostC))} y={y} unit="m" unitAbove={8} fill="var(--water0)" />
      {niceTicks(mostU).map((tick) => (
        <text key={tick} x={x(tick)} y={bottom + 18} textAnchor="middle" fill="var(--dim)">
          {tick}
        </text>
      ))}
      <text x={right} y={bottom + 36} textAnchor="end" fill="var(--dim)">
        chlorophyll, µg/L
      </text>
      <path d={curve(curves?.algaeOnly ?? []) ?? ''} stroke="var(--slate)" strokeDasharray="6 4" fill="none" />
      <path d={curve(curves?.own ?? []) ?? ''} stroke="var(--reed)" strokeWidth="2" fill="none" />
      {pairs.map(({ visit, day, clarityM, ugL }) => (
        <circle key={visit} cx={x(ugL)} cy={y(clarityM)} r="3.6" fill="var(--reed)" opacity="0.85">
          <title>{`${plainDay(day)}: ${clarityM} m, ${ugL} µg/L`}</title>
        </circle>
      ))}
    </>
  );
}

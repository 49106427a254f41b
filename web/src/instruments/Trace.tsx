import type { TimedReading } from './useInstrument';

const WIDTH = 132;
const HEIGHT = 34;
const MINUTE_S = 60;

/** A number of the last minute as a line, with how far it moved. */
export function Trace({
  label,
  unit,
  readings,
  of,
}: {
  label: string;
  unit: string | null;
  readings: TimedReading[];
  of: (reading: TimedReading) => string | null | undefined;
}) {
  const points = readings.flatMap((reading) => {
    const text = of(reading);
    return text == null ? [] : [{ at: reading.seconds, value: Number(text) }];
  });
  const now = points.at(-1)?.at ?? 0;
  const values = points.map(({ value }) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  if (points.length < 2) {
    return null;
  }
  const room = Math.max(high - low, 0.05);
  const x = (at: number) => WIDTH - ((now - at) / MINUTE_S) * WIDTH;
  const y = (value: number) => 3 + ((high - value) / room) * (HEIGHT - 6);
  return (
    <figure className="m-0">
      <svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        role="img"
        aria-label={label}
      >
        <path d={`M0 ${HEIGHT - 0.5}H${WIDTH}`} stroke="var(--rule)" />
        <path
          d={points.map(({ at, value }, i) => `${i ? 'L' : 'M'}${x(at).toFixed(1)} ${y(value).toFixed(1)}`).join('')}
          fill="none"
          stroke="var(--slate)"
          strokeWidth="1.5"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <figcaption className="num text-dim text-xs">
        {(high - low).toFixed(2)} {unit} in {Math.round(now - (points[0]?.at ?? now))} s
      </figcaption>
    </figure>
  );
}

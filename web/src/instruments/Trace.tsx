import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
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
  const x = scaleLinear([now - MINUTE_S, now], [0, WIDTH]);
  const y = scaleLinear([high - room, high], [HEIGHT - 3, 3]);
  const trace = line<(typeof points)[number]>(
    ({ at }) => x(at),
    ({ value }) => y(value),
  );
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
        <path d={trace(points) ?? ''} fill="none" stroke="var(--slate)" strokeWidth="1.5" vectorEffect="non-scaling-stroke" />
      </svg>
      <figcaption className="num text-dim text-xs">
        {(high - low).toFixed(2)} {unit} in {Math.round(now - (points[0]?.at ?? now))} s
      </figcaption>
    </figure>
  );
}

import type { ReactNode, SVGProps } from 'react';
import { useSize } from '../column/useSize';

/** Width of a letter of the axes, px. */
const LETTER = 7.9;

/** Where the drawing stands in its picture, px. */
export interface Inner {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** A picture as wide as there is room: its margins, its name for those who do not see it, the letters of its axes. */
export function ChartFrame({
  height,
  margins: [top, right, bottom, left],
  label,
  widest = Number.POSITIVE_INFINITY,
  children,
}: {
  height: number;
  /** Top, right, bottom, left, px. */
  margins: readonly [number, number, number, number];
  label: string;
  widest?: number;
  children(inner: Inner): ReactNode;
}) {
  const [frame, size] = useSize<HTMLDivElement>();
  const width = Math.min(size.width, widest);
  return (
    <div ref={frame} className="relative w-full" style={{ height }}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          className="absolute inset-0"
          role="img"
          aria-label={label}
          fontSize="13"
          fontFamily="var(--font-mono)"
        >
          {children({ left, right: width - right, top, bottom: height - bottom })}
        </svg>
      )}
    </div>
  );
}

/** Ground, the lines of an upright axis with their numbers, and its unit above them. */
export function Upright({
  inner: { left, right, top, bottom },
  ticks,
  y,
  unit,
  unitAbove = 10,
  fill,
  lines,
}: {
  inner: Inner;
  ticks: readonly { value: number; label: string }[];
  y(value: number): number;
  unit?: string;
  unitAbove?: number;
  /** Colour of the ground; without it there is none. */
  fill?: string;
  /** Colour of the lines; without it there are none. */
  lines?: string;
}) {
  return (
    <g>
      {fill && <rect x={left} y={top} width={right - left} height={bottom - top} fill={fill} />}
      {ticks.map(({ value, label }) => (
        <g key={value}>
          {lines && <path d={`M${left} ${y(value)}H${right}`} stroke={lines} strokeWidth="2" />}
          <text x={left - 8} y={y(value) + 4.5} textAnchor="end" fill="var(--dim)">
            {label}
          </text>
        </g>
      ))}
      {unit && (
        <text
          // A long one begins at the edge and goes on over the ground.
          x={unit.length * LETTER > left - 8 ? 0 : left - 8}
          y={top - unitAbove}
          textAnchor={unit.length * LETTER > left - 8 ? 'start' : 'end'}
          fill="var(--dim)"
        >
          {unit}
        </text>
      )}
    </g>
  );
}

/** Words over a drawing, kept readable by a rim in the colour of the ground. */
export function Over({ rim = 'var(--water0)', ...text }: SVGProps<SVGTextElement> & { rim?: string }) {
  return <text stroke={rim} strokeWidth="4" paintOrder="stroke" {...text} />;
}

/** Numbers as ticks. */
export function plainTicks(values: readonly number[]): { value: number; label: string }[] {
  return values.map((value) => ({ value, label: String(value) }));
}

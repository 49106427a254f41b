import { line as path } from 'd3-shape';
import type { Schemas } from '../api/client';

interface Shown {
  years: readonly Pick<Schemas['YearBrief'], 'year' | 'value' | 'provisional'>[];
  line?: readonly Pick<Schemas['TrendAt'], 'year' | 'value'>[] | null | undefined;
  depth: boolean;
}

/**
 * A series in a few strokes: a depth hangs from the surface, anything else stands. Decoration beside the words; the record has
 * the chart.
 */
export function MiniYears({ years, line, depth, width = 180, height = 44 }: Shown & { width?: number; height?: number }) {
  const step = width / Math.max(1, years.length);
  const most = Math.max(...years.map(({ value }) => value ?? 0), ...(line ?? []).map(({ value }) => value)) || 1;
  const base = depth ? 3 : height - 3;
  const y = (value: number) => base + (depth ? 1 : -1) * (height - 10) * (value / most);
  const first = years[0]?.year ?? 0;
  const x = (year: number) => step * (year - first + 0.5);
  const along = path<NonNullable<Shown['line']>[number]>(
    (one) => x(one.year),
    (one) => y(one.value),
  );
  return (
    <svg width={width} height={height} aria-hidden="true">
      <path d={`M0 ${base}H${width}`} stroke="var(--dim)" />
      {years.map(({ year, value, provisional }) =>
        value == null ? null : (
          <g key={year}>
            <path d={`M${x(year)} ${base}V${y(value)}`} stroke="var(--slate)" strokeWidth="1.5" />
            <circle
              cx={x(year)}
              cy={y(value)}
              r="2.6"
              fill={provisional ? 'var(--sheet)' : 'var(--slate)'}
              stroke="var(--slate)"
              strokeWidth="1"
            />
          </g>
        ),
      )}
      {line && line.length > 1 && (
        <path d={along(line) ?? ''} stroke="var(--buoy)" strokeWidth="1.6" strokeDasharray="5 3" fill="none" />
      )}
    </svg>
  );
}

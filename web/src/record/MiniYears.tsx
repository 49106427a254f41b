import type { Schemas } from '../api/client';

/** A station's years in a few strokes: each hangs from the surface. Decoration beside the number; the record has the chart. */
export function MiniYears({ years }: { years: Schemas['ClarityYearsResult'] }) {
  const width = 180;
  const height = 44;
  const step = width / Math.max(1, years.years.length);
  const y = (depth: number) => 3 + (height - 8) * (depth / years.deepestM);
  return (
    <svg width={width} height={height} aria-hidden="true">
      <path d={`M0 3H${width}`} stroke="var(--dim)" />
      {years.years.map((year, i) => {
        const depth = year.meanM ?? year.medianM;
        const x = step * (i + 0.5);
        return depth == null ? null : (
          <g key={year.year}>
            <path d={`M${x} 3V${y(depth)}`} stroke="var(--slate)" strokeWidth="1.5" />
            <circle cx={x} cy={y(depth)} r="2.4" fill="var(--slate)" />
          </g>
        );
      })}
    </svg>
  );
}

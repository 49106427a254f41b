import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../api/client';
import { useSize } from '../column/useSize';

const MARGIN = { left: 34, right: 8, top: 18, bottom: 30 };
const HEIGHT = 190;

/** A stream as it was gauged: the bed, a panel for each vertical, and what share of the flow passes in it. */
export function CrossSection({ section }: { section: Schemas['SheetSection'] }) {
  const [box, { width }] = useSize<HTMLDivElement>();
  const deepest = Math.max(0.1, ...section.panels.map(({ depthM }) => depthM));
  const x = scaleLinear([section.fromM, section.toM], [MARGIN.left, Math.max(MARGIN.left + 1, width - MARGIN.right)]);
  const y = scaleLinear([0, deepest * 1.15], [MARGIN.top, HEIGHT - MARGIN.bottom]);
  const bed = [
    [section.fromM, section.panels[0]?.tapeM === section.fromM ? section.panels[0].depthM : 0],
    ...section.panels.map(({ tapeM, depthM }) => [tapeM, depthM]),
    [section.toM, section.panels.at(-1)?.tapeM === section.toM ? (section.panels.at(-1)?.depthM ?? 0) : 0],
  ] as [number, number][];
  const path = `M${x(section.fromM)},${y(0)} ${bed.map(([at, depth]) => `L${x(at)},${y(depth)}`).join(' ')} L${x(section.toM)},${y(0)} Z`;
  return (
    <figure className="mt-3" aria-label={`Cross-section of the stream. ${section.panels.map(({ text }) => text).join('; ')}`}>
      <div ref={box} className="w-full">
        {width > 0 && (
          <svg width={width} height={HEIGHT} aria-hidden="true">
            <path d={path} className="fill-(--water1) stroke-ink" strokeWidth={1.5} />
            {section.panels.map((panel) => (
              <g key={panel.tapeM}>
                <line
                  x1={x(panel.fromM)}
                  x2={x(panel.fromM)}
                  y1={y(0)}
                  y2={y(deepest)}
                  className="stroke-rule"
                  strokeDasharray="3 3"
                />
                <line
                  x1={x(panel.tapeM)}
                  x2={x(panel.tapeM)}
                  y1={y(0)}
                  y2={y(panel.depthM)}
                  className="stroke-ink"
                  strokeWidth={2}
                />
                {panel.sharePercent != null && (
                  <text x={x(panel.tapeM)} y={y(0) - 5} textAnchor="middle" className="num fill-ink text-xs">
                    {Math.round(panel.sharePercent)}
                  </text>
                )}
              </g>
            ))}
            {y.ticks(4).map((tick) => (
              <text key={tick} x={MARGIN.left - 5} y={y(tick)} dy="0.35em" textAnchor="end" className="num fill-dim text-xs">
                {tick}
              </text>
            ))}
            {x.ticks(Math.min(8, Math.floor(width / 60))).map((tick) => (
              <text key={tick} x={x(tick)} y={HEIGHT - 14} textAnchor="middle" className="num fill-dim text-xs">
                {tick}
              </text>
            ))}
          </svg>
        )}
      </div>
      <figcaption className="text-dim text-sm">
        Tape in m across, depth in m down; above each vertical its share of the flow in %.
      </figcaption>
    </figure>
  );
}

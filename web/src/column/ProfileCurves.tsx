import type { FieldSheet, Schemas } from '../api/client';
import { through } from '../ui/through';
import type { ColumnScale } from './scale';

interface Props {
  /** Keeps what is drawn inside the water. */
  clip: string;
  profile: NonNullable<FieldSheet['profile']>;
  /** Profiles of earlier visits, newest first; drawn thin behind. */
  earlier: Schemas['EarlierProfile'][];
  scale: ColumnScale;
  left: number;
  right: number;
  top: number;
  strip: boolean;
}

/** Temperature and oxygen as they come in: ink and dots, reed and squares, each on its own axis above the water. */
export function ProfileCurves({ clip, profile, earlier, scale, left, right, top, strip }: Props) {
  const water = profile.levels.filter((level) => !level.marked);
  // What a stop is open on is drawn hollow and by itself: it joins nothing, and no axis is stretched for it.
  const warmest = Math.max(25, ...water.map((level) => (level.temperatureOpen ? 0 : (level.temperatureC ?? 0))));
  const most = Math.max(12, ...water.map((level) => (level.oxygenOpen ? 0 : (level.oxygenMgL ?? 0))));
  const span = right - left - (strip ? 8 : 24);
  const xt = (celsius: number) => left + (strip ? 4 : 12) + (Math.max(0, celsius) / (5 * Math.ceil(warmest / 5))) * span;
  const xo = (mgl: number) => left + (strip ? 4 : 12) + (mgl / (4 * Math.ceil(most / 4))) * span;
  const ghosts = earlier.map(({ visit, levels }) => ({
    visit,
    warm: levels.flatMap(({ depthM, celsius }) => (celsius != null ? [{ x: xt(celsius), y: scale.y(depthM) }] : [])),
    oxygen: levels.flatMap(({ depthM, oxygenMgL }) => (oxygenMgL != null ? [{ x: xo(oxygenMgL), y: scale.y(depthM) }] : [])),
  }));
  const warm = water.flatMap((level) =>
    level.temperatureC != null
      ? [{ x: xt(level.temperatureC), y: scale.y(level.depthM), key: level.entry, open: level.temperatureOpen === true }]
      : [],
  );
  const oxygen = water.flatMap((level) =>
    level.oxygenMgL != null
      ? [{ x: xo(level.oxygenMgL), y: scale.y(level.depthM), key: level.entry, open: level.oxygenOpen === true }]
      : [],
  );
  const edge = (x: number) => Math.min(x, right - 5);
  const figure = (key: string) => profile.figures.find((one) => one.key === key);
  const band = figure('metalimnion');
  const thermocline = figure('thermocline')?.depthM;
  return (
    <g>
      <g clipPath={clip}>
        {band?.depthM != null && band.lowerM != null && (
          <rect
            x={left + 1}
            y={scale.y(band.depthM)}
            width={right - left - 1}
            height={scale.y(band.lowerM) - scale.y(band.depthM)}
            fill="var(--sheet)"
            opacity="0.45"
          />
        )}
        {thermocline != null && (
          <path d={`M${left} ${scale.y(thermocline)}H${right}`} stroke="var(--slate)" strokeDasharray="5 4" strokeWidth="1.3" />
        )}
        <g fill="none" strokeWidth="1" strokeDasharray="2 2.5" opacity="0.55">
          {ghosts.map((ghost) => (
            <g key={ghost.visit}>
              <path d={through(ghost.warm) ?? ''} stroke="var(--ink)" />
              <path d={through(ghost.oxygen) ?? ''} stroke="var(--reed)" />
            </g>
          ))}
        </g>
        <path d={through(warm.filter(({ open }) => !open)) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="2" />
        <path d={through(oxygen.filter(({ open }) => !open)) ?? ''} fill="none" stroke="var(--reed)" strokeWidth="2" />
        {warm.map(
          ({ x, y, key, open }) =>
            (!strip || open) && (
              <circle
                key={key}
                cx={edge(x)}
                cy={y}
                r={open ? 4 : 3}
                fill={open ? 'none' : 'var(--ink)'}
                stroke="var(--ink)"
                strokeWidth={open ? 1.5 : 0}
              />
            ),
        )}
        {oxygen.map(
          ({ x, y, key, open }) =>
            (!strip || open) && (
              <rect
                key={key}
                x={edge(x) - 3}
                y={y - 3}
                width="6"
                height="6"
                fill={open ? 'none' : 'var(--reed)'}
                stroke="var(--reed)"
                strokeWidth={open ? 1.5 : 0}
              />
            ),
        )}
      </g>
      {!strip && (
        <Axes
          oxygen={oxygen.length > 0 || ghosts.some((ghost) => ghost.oxygen.length > 0)}
          warmest={warmest}
          most={most}
          xt={xt}
          xo={xo}
          top={top}
          right={right}
        />
      )}
    </g>
  );
}

function Axes({
  oxygen,
  warmest,
  most,
  xt,
  xo,
  top,
  right,
}: {
  oxygen: boolean;
  warmest: number;
  most: number;
  xt: (celsius: number) => number;
  xo: (mgl: number) => number;
  top: number;
  right: number;
}) {
  const steps = (end: number, step: number) => Array.from({ length: Math.floor(end / step) + 1 }, (_, i) => i * step);
  const warmTicks = steps(5 * Math.ceil(warmest / 5), 10);
  const oxygenTicks = steps(4 * Math.ceil(most / 4), 4);
  return (
    <g textAnchor="middle">
      {warmTicks.map((t) => (
        <text key={t} x={xt(t)} y={top - 14} fill="var(--ink)">
          {t}
        </text>
      ))}
      {oxygen &&
        oxygenTicks.map((o) => (
          <text key={o} x={xo(o)} y={top - 32} fill="var(--reed)">
            {o}
          </text>
        ))}
      <text x={right + 8} y={top - 14} textAnchor="start" fill="var(--ink)">
        ● °C
      </text>
      {oxygen && (
        <text x={right + 8} y={top - 32} textAnchor="start" fill="var(--reed)">
          ■ mg/L O₂
        </text>
      )}
    </g>
  );
}

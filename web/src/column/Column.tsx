import { type ReactNode, useId, useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { monthName } from '../ui/days';
import { DISC_MARKS } from '../ui/discMarks';
import type { StepName } from '../water/steps';
import { BottleMark } from './BottleMark';
import { ColumnTable } from './ColumnTable';
import { layersOf } from './layers';
import { ProfileCurves } from './ProfileCurves';
import { columnScale, type Layer, spread, withRoom } from './scale';
import { useSize } from './useSize';

/** The water column of a visit: surface on top, bottom at the sounding, everything at its depth. Touching a thing goes to its entry. */
export function Column({
  sheet,
  earlier,
  strip,
  onStep,
}: {
  sheet: FieldSheet;
  earlier: Schemas['EarlierProfile'][];
  strip: boolean;
  onStep: (step: StepName) => void;
}) {
  const [frame, { width, height }] = useSize<HTMLDivElement>();
  const [chosen, setChosen] = useState('');
  const layers = layersOf(sheet);
  return (
    <div ref={frame} className="relative size-full min-h-0">
      {!strip && Object.keys(layers).length > 0 && (
        <select
          className="-top-1 absolute right-0 z-10 min-h-7 border border-rule bg-paper px-1 text-sm"
          aria-label="Part of the column"
          value={layers[chosen] ? chosen : ''}
          onChange={(event) => setChosen(event.target.value)}
        >
          <option value="">whole column</option>
          {Object.keys(layers).map((name) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      )}
      {width > 0 && height > 80 && (
        <Drawing
          sheet={sheet}
          layer={strip ? undefined : layers[chosen]}
          earlier={earlier}
          strip={strip}
          onStep={onStep}
          width={width}
          height={height}
        />
      )}
      <ColumnTable sheet={sheet} />
    </div>
  );
}

interface Drawn {
  sheet: FieldSheet;
  /** A part of the column looked at by itself. */
  layer: Layer | undefined;
  earlier: Schemas['EarlierProfile'][];
  strip: boolean;
  onStep: (step: StepName) => void;
  width: number;
  height: number;
}

function Drawing({ sheet, layer, earlier, strip, onStep, width, height }: Drawn) {
  const id = useId();
  const profile = sheet.profile && (sheet.profile.levels.length > 0 || earlier.length > 0) ? sheet.profile : null;
  const top = strip ? 34 : profile ? 78 : 56;
  const bottom = height - (strip ? 34 : 46);
  const left = strip ? 34 : 58;
  const right = strip ? width - 8 : width - 168;
  const scale = columnScale(sheet.bottomM, top, bottom, layer);
  const inside = (y: number) => y >= top - 1 && y <= bottom + 1;
  const atBottom = !layer || layer.toM >= sheet.bottomM;
  const { result } = sheet.clarity;
  const line = left + (right - left) * (strip ? 0.5 : 0.55);
  const next = sheet.steps.find((step) => step.state === 'next')?.name;
  const labels = strip
    ? []
    : spread(
        labelsOf(sheet, scale.y).filter((label) => inside(label.y)),
        19,
        top + 4,
        bottom - 6,
      );
  return (
    <svg
      width={width}
      height={height}
      className="absolute inset-0"
      aria-hidden="true"
      fontSize="13"
      fontFamily="var(--font-mono)"
    >
      <defs>
        <linearGradient id={`${id}-w`} x1="0" x2="0" y1="0" y2="1">
          <stop offset="0" stopColor="var(--water0)" />
          <stop offset="1" stopColor="var(--water1)" />
        </linearGradient>
        <clipPath id={`${id}-c`}>
          <rect x={0} y={layer ? top : 0} width={width} height={layer ? bottom - top : height} />
        </clipPath>
        <pattern id={`${id}-b`} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="9" height="9" fill="var(--bed)" />
          <path d="M0 0v9" stroke="var(--dim)" strokeWidth="1" />
        </pattern>
        <pattern id={`${id}-k`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <path d="M0 0v7" stroke="var(--madder)" strokeWidth="1.2" />
        </pattern>
      </defs>
      <rect x={left} y={top} width={right - left} height={bottom - top} fill={`url(#${id}-w)`} />
      <g clipPath={`url(#${id}-c)`}>
        {result.compared && (
          <rect
            x={left}
            y={scale.y(result.compared.lowM)}
            width={strip ? 5 : 8}
            height={Math.max(2, scale.y(result.compared.highM) - scale.y(result.compared.lowM))}
            fill="var(--slate)"
            opacity="0.35"
          />
        )}
        {sheet.keepOffM != null && (
          <rect
            x={left}
            y={scale.y(sheet.keepOffM)}
            width={right - left}
            height={Math.max(0, bottom - scale.y(sheet.keepOffM))}
            fill={`url(#${id}-k)`}
            opacity="0.55"
          />
        )}
      </g>
      {atBottom ? (
        <rect
          x={left}
          y={bottom}
          width={right - left}
          height={strip ? 12 : 18}
          fill={`url(#${id}-b)`}
          stroke={sheet.sounding ? 'var(--ink)' : 'var(--dim)'}
          strokeDasharray={sheet.sounding ? undefined : '4 3'}
        />
      ) : (
        <path d={`M${left} ${bottom}H${right}`} stroke="var(--dim)" strokeDasharray="2 3" />
      )}
      <path d={`M${left} ${top}V${bottom}`} stroke="var(--ink)" />
      {withRoom(
        sheet.scale.ticks.filter((tick) => inside(scale.y(tick.depthM))),
        scale,
        17,
      ).map((tick) => (
        <g key={tick.depthM}>
          <path d={`M${left - 5} ${scale.y(tick.depthM)}h5`} stroke="var(--ink)" />
          <text x={left - 9} y={scale.y(tick.depthM) + 4.5} textAnchor="end" fill="var(--dim)">
            {tick.label}
          </text>
        </g>
      ))}
      <text x={left - 9} y={top - (strip ? 14 : 18)} textAnchor="end" fill="var(--dim)">
        {sheet.scale.unit}
      </text>
      {!layer || layer.fromM === 0 ? (
        <Surface left={left} right={right} y={top} />
      ) : (
        <path d={`M${left} ${top}H${right}`} stroke="var(--dim)" strokeDasharray="2 3" />
      )}
      {profile && (
        <ProfileCurves
          clip={`url(#${id}-c)`}
          profile={profile}
          earlier={earlier}
          scale={scale}
          left={left}
          right={right}
          top={top}
          strip={strip}
        />
      )}
      <g clipPath={`url(#${id}-c)`}>
        {(sheet.bottles?.places ?? []).map(
          (place) =>
            place.depthM != null && (
              <BottleMark
                key={place.place}
                visit={sheet.visit}
                place={place}
                depthM={place.depthM}
                x={left + (strip ? 6 : 18)}
                scale={scale}
                unit={sheet.scale.unit}
                movable={!place.done && sheet.state !== 'closed' && place.mark != null}
                onTouch={() => onStep(place.place === 'surface' ? 'surface' : 'bottles')}
              />
            ),
        )}
        {sheet.composite.layerM != null && !strip && (
          <path
            d={`M${right + 4} ${top}h7V${scale.y(sheet.composite.layerM)}h-7`}
            fill="none"
            stroke="var(--slate)"
            strokeWidth="1.5"
          />
        )}
        {(sheet.protocols ?? []).flatMap((own) =>
          (own.spans ?? []).map((span) => (
            <Touch key={`${own.protocol} ${span.fromM} ${span.toM}`} onTouch={() => onStep(own.protocol)}>
              <path
                d={`M${right - 4} ${scale.y(span.fromM)}h-9V${scale.y(span.toM)}h9`}
                fill="none"
                stroke="var(--reed)"
                strokeWidth="2.5"
              />
            </Touch>
          )),
        )}
        {sheet.clarity.boxes
          .filter((box) => box.depthM != null)
          .map((box) => (
            <path
              key={`${box.lowering} ${box.event}`}
              d={box.event === 'disappeared' ? 'M-6 -3.5h12l-6 7z' : 'M-6 3.5h12l-6 -7z'}
              transform={`translate(${line - (strip ? 0 : 26)} ${scale.y(box.depthM ?? 0)})`}
              fill="var(--ink)"
            />
          ))}
        {result.clarityM != null && (
          <Touch onTouch={() => onStep('clarity')}>
            <path d={`M${line} ${top - 8}V${scale.y(result.clarityM)}`} stroke="var(--ink)" strokeWidth="1.5" />
            <Disc x={line} y={scale.y(result.clarityM)} open={!sheet.usable} />
          </Touch>
        )}
        {sheet.composite.markM != null && sheet.steps.some(({ name }) => name === 'composite') && (
          <Touch onTouch={() => onStep('composite')}>
            <rect
              x={left + (strip ? 12 : 20)}
              y={scale.y(sheet.composite.markM) - 9}
              width="13"
              height="17"
              rx="3"
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="1.5"
              strokeDasharray="3 2"
            />
          </Touch>
        )}
      </g>
      {labels.map((label) => (
        <Touch key={label.key} onTouch={() => onStep(label.step)}>
          <path d={`M${label.from ?? right + 2} ${label.y}L${right + 14} ${label.at}`} stroke={label.colour} opacity="0.5" />
          <text x={right + 17} y={label.at + 4.5} fill={label.colour} fontWeight={label.bold ? 700 : 400}>
            {label.text}
          </text>
        </Touch>
      ))}
      {!strip && (
        <text x={left} y={bottom + 36} fill={sheet.sounding ? 'var(--ink)' : 'var(--dim)'}>
          {sheet.sounding ? `bottom ${sheet.sounding.text}` : `${sheet.knownText ?? 'depth'} known, not sounded today`}
        </text>
      )}
      {!strip && profile && earlier.length > 0 && (
        <text x={right + 8} y={bottom + 14} fill="var(--dim)" fontSize="12">
          ┄ earlier visits
        </text>
      )}
      {next === 'sounding' && atBottom && <Pointer x={right + (strip ? 0 : 4)} y={bottom - 2} />}
      {next === 'profile' && sheet.profile?.next && inside(scale.y(sheet.profile.next.depthM)) && (
        <Touch onTouch={() => onStep('profile')}>
          <Pointer x={right + (strip ? -2 : 2)} y={scale.y(sheet.profile.next.depthM)} />
        </Touch>
      )}
    </svg>
  );
}

interface ColumnLabel {
  key: string;
  y: number;
  text: string;
  colour: string;
  step: StepName;
  bold?: boolean;
  from?: number;
}

function labelsOf(sheet: FieldSheet, y: (depthM: number) => number): ColumnLabel[] {
  const labels: ColumnLabel[] = [];
  const { result, boxes } = sheet.clarity;
  if (result.clarityM != null && result.text) {
    labels.push({ key: 'clarity', y: y(result.clarityM), text: result.text, colour: 'var(--ink)', step: 'clarity', bold: true });
  } else {
    for (const box of boxes.filter((b) => b.depthM != null)) {
      labels.push({
        key: `${box.lowering} ${box.event}`,
        y: y(box.depthM ?? 0),
        text: `${DISC_MARKS[box.event].short} ${box.text}`,
        colour: 'var(--ink)',
        step: 'clarity',
      });
    }
  }
  for (const place of sheet.bottles?.places ?? []) {
    if (place.depthM != null && place.text) {
      labels.push({
        key: place.place,
        y: y(place.depthM),
        text: `${place.text} ${place.done ? 'taken' : 'planned'}`,
        colour: place.done ? 'var(--reed)' : 'var(--ink)',
        step: place.place === 'surface' ? 'surface' : 'bottles',
      });
    }
  }
  const thermocline = sheet.profile?.figures.find((figure) => figure.key === 'thermocline');
  if (thermocline?.depthM != null) {
    labels.push({
      key: 'thermocline',
      y: y(thermocline.depthM),
      text: `thermocl. ${thermocline.text}`,
      colour: 'var(--slate)',
      step: 'profile',
    });
  }
  const { next } = sheet.profile ?? {};
  if (next && sheet.steps.some(({ name, state }) => name === 'profile' && state === 'next')) {
    labels.push({
      key: 'next',
      y: y(next.depthM),
      text: `next ${next.text}`,
      colour: 'var(--buoy)',
      step: 'profile',
      bold: true,
    });
  }
  for (const own of sheet.protocols ?? []) {
    for (const span of own.spans ?? []) {
      labels.push({
        key: `${own.protocol} ${span.toM}`,
        y: y(span.toM),
        text: span.label,
        colour: 'var(--reed)',
        step: own.protocol,
      });
    }
  }
  if (sheet.composite.markM != null && sheet.composite.text && sheet.steps.some(({ name }) => name === 'composite')) {
    labels.push({
      key: 'mark',
      y: y(sheet.composite.markM),
      text: `mark ${sheet.composite.text}`,
      colour: 'var(--slate)',
      step: 'composite',
    });
  }
  if (sheet.keepOffM != null) {
    labels.push({ key: 'keep', y: y(sheet.keepOffM), text: 'keep off', colour: 'var(--madder)', step: 'composite' });
  }
  if (result.compared && result.clarityM == null && boxes.every((b) => b.depthM == null)) {
    labels.push({
      key: 'month',
      y: y(result.compared.medianM),
      text: `usual in ${monthName(result.compared.month)}`,
      colour: 'var(--slate)',
      step: 'clarity',
    });
  }
  return labels;
}

function Touch({ onTouch, children }: { onTouch: () => void; children: ReactNode }) {
  return (
    // The table below the drawing says the same to a keyboard and a screen reader; this is for fingers.
    // biome-ignore lint/a11y: the steps beside the column are the keyboard's way
    <g onClick={onTouch} className="cursor-pointer">
      {children}
    </g>
  );
}

function Surface({ left, right, y }: { left: number; right: number; y: number }) {
  const waves = Math.max(2, Math.round((right - left) / 44));
  const step = (right - left) / waves;
  const path = Array.from({ length: waves }, () => `q${step / 4} -7 ${step / 2} 0t${step / 2} 0`).join('');
  return <path d={`M${left} ${y}${path}`} fill="none" stroke="var(--ink)" strokeWidth="2" />;
}

function Disc({ x, y, open }: { x: number; y: number; open: boolean }) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <ellipse
        rx="15"
        ry="5.5"
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="1.5"
        strokeDasharray={open ? '3 2' : undefined}
      />
      {!open && <path d="M0 0V-5.5A15 5.5 0 0 1 15 0zM0 0V5.5A15 5.5 0 0 1 -15 0z" fill="var(--ink)" />}
    </g>
  );
}

function Pointer({ x, y }: { x: number; y: number }) {
  return <path d={`M${x} ${y}l11 -6.5v13z`} fill="var(--buoy)" stroke="var(--ink)" strokeWidth="0.8" />;
}

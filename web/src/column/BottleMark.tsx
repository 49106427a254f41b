import { type PointerEvent, useState } from 'react';
import type { Schemas } from '../api/client';
import { write } from '../field/entries';
import { useComputed } from '../field/useComputed';
import type { ColumnScale } from './scale';

/** A finger that moved less than this touched, and did not drag. */
const DRAGGED_PX = 6;

interface Props {
  visit: string;
  place: Schemas['SheetPlace'];
  depthM: number;
  x: number;
  scale: ColumnScale;
  /** Of the depth scale, for the words while it is dragged. */
  unit: string;
  movable: boolean;
  onTouch: () => void;
}

/** A bottle at its depth: filled once taken; until then it may be dragged to another depth. */
export function BottleMark({ visit, place, depthM, x, scale, unit, movable, onTouch }: Props) {
  const [drag, setDrag] = useState<{ from: number; y: number; scale: ColumnScale }>();
  const dragged = drag && Math.abs(drag.y - drag.from) > DRAGGED_PX ? drag.y : undefined;
  const y = dragged ?? scale.y(depthM);
  const heightOf = (event: PointerEvent<SVGGElement>) =>
    event.clientY - (event.currentTarget.ownerSVGElement?.getBoundingClientRect().top ?? 0);
  // To the tenth of a metre. What it means, whether it may be, and which mark of the line is nearest, Core says.
  // By the scale under the finger when it came down: an entry that arrives meanwhile may draw another.
  const written = drag && dragged !== undefined ? drag.scale.depth(dragged).toFixed(1) : undefined;
  const { data: length } = useComputed(
    'length',
    written === undefined ? undefined : { written, unit: 'm', reader: unit === 'ft' ? 'ft' : 'm' },
  );
  return (
    <g
      className={movable ? 'cursor-grab touch-none' : 'cursor-pointer'}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        const at = heightOf(event);
        setDrag({ from: at, y: at, scale });
      }}
      onPointerMove={(event) => movable && drag && setDrag({ ...drag, y: heightOf(event) })}
      onPointerCancel={() => setDrag(undefined)}
      onPointerUp={() => {
        if (written === undefined) {
          onTouch();
        } else {
          void write({ visit, kind: 'bottle-depth', body: { place: place.place, depth: { written, unit: 'm' } } });
        }
        setDrag(undefined);
      }}
    >
      <rect x={x - 8} y={y - 16} width="28" height="32" fill="transparent" />
      <rect
        x={x}
        y={y - 8}
        width="12"
        height="16"
        rx="3"
        fill={place.done ? 'var(--reed)' : 'var(--sheet)'}
        stroke="var(--ink)"
        strokeWidth="1.5"
        strokeDasharray={place.done ? undefined : '3 2'}
      />
      {dragged !== undefined && (
        <text x={x + 18} y={y + 4.5} fill="var(--ink)" fontWeight="700">
          {length?.text}
        </text>
      )}
    </g>
  );
}

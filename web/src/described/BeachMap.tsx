import type { Schemas } from '../api/client';

const WIDTH = 320;
const HEIGHT = 150;
const PLACES = ['1', '2', '3'] as const;
const X = { '1': 60, '2': 160, '3': 260 } as const;
const SAND_Y = 45;
const WATER_Y = 108;

/** The six points of a beach from the north, pairs joined; a pair that is crossed is drawn as it was written. */
export function BeachMap({ own }: { own: Schemas['SheetProtocol'] }) {
  const full = (type: string, place: string) =>
    own.steps.some(
      ({ step, item, containers }) =>
        step === type &&
        item === place &&
        (containers ?? []).every((number) => own.containers?.some((one) => one.number === number && one.entry)),
    );
  const off = (place: string) => own.values.findLast(({ field, item }) => field === 'off' && item === place)?.value.written;
  return (
    <figure className="mt-3 max-w-md" aria-label="The six points of the beach">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" className="w-full" aria-label={words()}>
        <title>Three points in the sand, three in the water, numbered from the north</title>
        <rect x="0" y="0" width={WIDTH} height="78" className="fill-paper2" />
        <rect x="0" y="78" width={WIDTH} height={HEIGHT - 78} className="fill-(--water1)" />
        <line x1="0" x2={WIDTH} y1="22" y2="22" className="stroke-dim" strokeDasharray="2 4" />
        <text x="4" y="17" className="fill-dim text-[10px]">
          wrack line
        </text>
        <text x="4" y="74" className="fill-dim text-[10px]">
          high-tide line
        </text>
        <text x={WIDTH - 4} y="17" textAnchor="end" className="fill-dim text-[10px]">
          north is left
        </text>
        {PLACES.map((place) => {
          const to = off(place);
          return to && to in X ? (
            <line
              key={place}
              x1={X[place]}
              y1={WATER_Y - 14}
              x2={X[to as '1']}
              y2={SAND_Y + 14}
              className={to === place ? 'stroke-ink' : 'stroke-madder'}
              strokeWidth={to === place ? 1.5 : 3}
            />
          ) : null;
        })}
        {PLACES.map((place) => (
          <g key={place}>
            <Point x={X[place]} y={SAND_Y} full={full('skim', place)} square words={`sand ${place}`} />
            <Point x={X[place]} y={WATER_Y} full={full('sink', place)} words={`water ${place}`} />
          </g>
        ))}
      </svg>
    </figure>
  );

  function words(): string {
    return PLACES.map(
      (place) =>
        `sand ${place} ${full('skim', place) ? 'full' : 'open'}, water ${place} ${full('sink', place) ? 'full' : 'open'}` +
        (off(place) ? `, off sand ${off(place)}` : ''),
    ).join('; ');
  }
}

function Point({ x, y, full, square = false, words }: { x: number; y: number; full: boolean; square?: boolean; words: string }) {
  const fill = full ? 'fill-ink' : 'fill-sheet';
  return (
    <>
      {square ? (
        <rect x={x - 11} y={y - 11} width="22" height="22" className={`${fill} stroke-ink`} strokeWidth="2" />
      ) : (
        <circle cx={x} cy={y} r="12" className={`${fill} stroke-ink`} strokeWidth="2" />
      )}
      <text x={x + 18} y={y + 4} className="fill-ink text-[11px]">
        {words}
      </text>
    </>
  );
}

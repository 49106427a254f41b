import type { LevelToRead } from '../profile/columns';
import { Choice } from '../ui/Choice';
import type { Live } from './useInstrument';

const DISPLAY = [
  [false, 'mg/L'],
  [true, '%'],
] as const;
const CABLE = [
  [false, 'plugged in'],
  [true, 'pulled'],
] as const;
const PACE = [1, 5, 20].map((n) => [n, n === 1 ? 'as it is' : `${n} times`] as const);

/** Stands in for the hand on the cable and on the handheld's keys. */
export function SondePanel({ live: { boat, command }, target }: { live: Live; target: LevelToRead | null | undefined }) {
  return (
    <section aria-label="The simulated sonde" className="mt-3 border-rule border-t pt-2">
      <div className="flex flex-wrap gap-2">
        {target && (
          <button type="button" className="act act-next" onClick={() => command({ lowerToM: target.depthM })}>
            Lower it to {target.text}
          </button>
        )}
        <button type="button" className="act" onClick={() => command({ lowerToM: 0.3 })}>
          Raise it
        </button>
      </div>
      <details className="mt-2">
        <summary className="act-quiet inline-flex cursor-pointer items-center">its display, its cable, its time</summary>
        <div className="flex flex-wrap gap-x-6">
          <Choice label="Its display" value={boat?.percent} options={DISPLAY} onChoose={(percent) => command({ percent })} />
          <Choice label="Its cable" value={boat?.silent} options={CABLE} onChoose={(silent) => command({ silent })} />
          <Choice label="Its time runs" value={boat?.pace} options={PACE} onChoose={(pace) => command({ pace })} />
        </div>
      </details>
    </section>
  );
}

import { nowLocal } from '../field/clock';
import type { FieldBoxProps } from './FieldBox';
import { useHeld } from './held';

const tapped = (held: string | undefined) => (held ? (JSON.parse(held) as string[]) : []);

/** Three taps on upright passes of what swings; the first and the third are kept. */
export function BeatBox({ field, address, next, onGiven }: FieldBoxProps) {
  const [held, setHeld] = useHeld(address);
  const taps = tapped(held);
  const wanted = field.wanted ?? 3;
  return (
    <fieldset className="mt-3 min-w-0">
      <legend className="font-bold text-sm">{field.label}</legend>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className={`act min-h-16 min-w-36 text-xl ${next ? 'act-next' : ''}`}
          onClick={() => {
            const now = nowLocal();
            if (taps.length + 1 < wanted) {
              setHeld((before) => JSON.stringify([...tapped(before), now]));
              return;
            }
            void onGiven({ at: taps[0] as string, until: now }).then(() => setHeld(() => undefined));
          }}
        >
          Upright
        </button>
        <p className="num font-bold text-3xl" aria-live="polite">
          {taps.length} <span className="font-normal text-base text-dim">of {wanted}</span>
        </p>
        {taps.length > 0 && (
          <button type="button" className="act-quiet min-h-14" onClick={() => setHeld(() => undefined)}>
            begin anew
          </button>
        )}
      </div>
    </fieldset>
  );
}

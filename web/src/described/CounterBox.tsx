import type { FieldBoxProps } from './FieldBox';
import { useHeld } from './held';

/** A count, one large touch each, one back; written once, at its end. */
export function CounterBox({ field, address, next, onGiven }: FieldBoxProps) {
  const [held, setHeld] = useHeld(address);
  const count = Number(held ?? 0);
  // None is wanted of what is only counted.
  const wanted = field.wanted ?? 0;
  const enough = count >= Math.max(1, wanted);
  return (
    <fieldset className="mt-3 min-w-0">
      <legend className="font-bold text-sm">{field.label}</legend>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className={`act min-h-14 min-w-28 text-xl ${next && !enough ? 'act-next' : ''}`}
          onClick={() => setHeld((before) => String(Number(before ?? 0) + 1))}
        >
          One more
        </button>
        <p className="num font-bold text-3xl" aria-live="polite">
          {count} {wanted > 0 && <span className="font-normal text-base text-dim">of {wanted}</span>}
        </p>
        <button
          type="button"
          className="act-quiet min-h-14"
          disabled={count === 0}
          onClick={() => setHeld((before) => String(Math.max(0, Number(before ?? 0) - 1)))}
        >
          one back
        </button>
        <button
          type="button"
          className={`act min-h-14 ${next && enough ? 'act-next' : ''}`}
          onClick={() => void onGiven({ count }).then(() => setHeld(() => undefined))}
        >
          That is all
        </button>
      </div>
    </fieldset>
  );
}

import type { FieldBoxProps } from './FieldBox';
import { useHeld } from './held';

const kinds = (held: string | undefined) => (held ? (JSON.parse(held) as string[]) : []);

/** A count by kind: one touch a specimen, the last one back, a running total; written once, at its end. */
export function TallyBox({ field, address, next, onGiven }: FieldBoxProps) {
  const [held, setHeld] = useHeld(address);
  const touched = kinds(held);
  const counts: Record<string, number> = {};
  for (const kind of touched) {
    counts[kind] = (counts[kind] ?? 0) + 1;
  }
  const last = (field.choices ?? []).find(({ code }) => code === touched.at(-1));
  return (
    <fieldset className="mt-3 min-w-0">
      <legend className="font-bold text-sm">{field.label}</legend>
      <div className="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-3">
        {(field.choices ?? []).map(({ code, words }) => (
          <button
            key={code}
            type="button"
            className="act flex min-h-16 items-center justify-between gap-2 text-left"
            onClick={() => setHeld((before) => JSON.stringify([...kinds(before), code]))}
          >
            <span>{words}</span>
            <b className="num text-xl">{counts[code] ?? 0}</b>
          </button>
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <p className="num font-bold text-2xl" aria-live="polite">
          {touched.length} <span className="font-normal text-base text-dim">in all</span>
        </p>
        <button
          type="button"
          className="act-quiet min-h-14"
          disabled={touched.length === 0}
          onClick={() => setHeld((before) => JSON.stringify(kinds(before).slice(0, -1)))}
        >
          {last ? `one ${last.words} back` : 'one back'}
        </button>
        <button
          type="button"
          className={`act min-h-14 ${next ? 'act-next' : ''}`}
          onClick={() => void onGiven({ counts }).then(() => setHeld(() => undefined))}
        >
          That is all
        </button>
      </div>
    </fieldset>
  );
}

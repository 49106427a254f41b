import { useId } from 'react';

const TOUCHED =
  'flex min-h-(--target) cursor-pointer items-center rounded-md border-[1.5px] px-3 boat:min-w-14 boat:justify-center has-focus-visible:outline-3 has-focus-visible:outline-slate has-focus-visible:outline-offset-2';

/** One of a few, by one touch. At the desk the arrow keys move, as in any group of radio buttons. */
export function Choice<Value extends string | number | boolean>({
  label,
  value,
  options,
  onChoose,
  hint,
  disabled = false,
}: {
  label: string;
  value: Value | null | undefined;
  options: readonly (readonly [Value, string])[];
  onChoose: (value: Value) => void;
  hint?: string;
  disabled?: boolean;
}) {
  const id = useId();
  return (
    <fieldset className="mt-3 min-w-0" disabled={disabled}>
      <legend className="font-bold text-sm">{label}</legend>
      {hint && <p className="text-dim text-sm">{hint}</p>}
      <div className="mt-1 flex flex-wrap gap-1.5">
        {options.map(([option, words]) => (
          <label
            key={String(option)}
            className={`${TOUCHED} ${option === value ? 'border-ink bg-ink font-bold text-paper' : 'border-dim bg-sheet'}`}
          >
            <input
              type="radio"
              name={id}
              className="sr-only"
              checked={option === value}
              onChange={() => onChoose(option)}
              onClick={() => option === value && onChoose(option)}
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

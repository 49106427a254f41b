import { useId } from 'react';

interface Props<Value extends string> {
  label: string;
  value: Value;
  options: Record<Value, string>;
  onChange(value: Value): void;
  hint?: string;
}

/** One of a few. */
export function SelectField<Value extends string>({ label, value, options, onChange, hint }: Props<Value>) {
  const id = useId();
  return (
    <div className="mt-3">
      <label htmlFor={id} className="font-bold text-sm">
        {label}
      </label>
      <select
        id={id}
        className="field"
        value={value}
        aria-describedby={hint ? `${id}-hint` : undefined}
        onChange={(event) => onChange(event.target.value as Value)}
      >
        {(Object.entries(options) as [Value, string][]).map(([key, name]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </select>
      {hint && (
        <p id={`${id}-hint`} className="mt-0.5 text-dim text-sm">
          {hint}
        </p>
      )}
    </div>
  );
}

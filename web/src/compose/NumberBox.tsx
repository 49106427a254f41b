import { useState } from 'react';
import { notNumber, numberOf } from '../ui/number';
import { TextField } from '../ui/TextField';

/** A number as it is typed; what is no number is said beside it and not passed on. */
export function NumberBox({
  label,
  value,
  onChange,
  hint,
}: {
  label: string;
  value: number | null | undefined;
  onChange(value: number | null): void;
  hint?: string;
}) {
  const [typed, setTyped] = useState(value == null ? '' : String(value));
  // What was typed stands until the number is another: boxes change their places.
  const read = numberOf(typed);
  const text = value != null && read !== value ? String(value) : value == null && read !== undefined ? '' : typed;
  return (
    <TextField
      label={label}
      value={text}
      inputMode="decimal"
      maxLength={20}
      {...(hint && { hint })}
      {...notNumber(text)}
      onChange={(next) => {
        setTyped(next);
        onChange(numberOf(next) ?? null);
      }}
    />
  );
}

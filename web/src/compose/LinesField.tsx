import { useId, useState } from 'react';

const linesOf = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

/** Several short texts, a line each. */
export function LinesField({
  label,
  value,
  onChange,
  hint,
}: {
  label: string;
  value: readonly string[] | undefined;
  onChange(lines: string[]): void;
  hint?: string;
}) {
  const id = useId();
  const [typed, setTyped] = useState((value ?? []).join('\n'));
  // What was typed stands, with its empty lines, until the lines are others.
  const text = linesOf(typed).join('\n') === (value ?? []).join('\n') ? typed : (value ?? []).join('\n');
  return (
    <div className="mt-3">
      <label htmlFor={id} className="font-bold text-sm">
        {label}
      </label>
      <textarea
        id={id}
        className="field"
        rows={Math.min(8, Math.max(3, text.split('\n').length))}
        value={text}
        aria-describedby={hint ? `${id}-hint` : undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          onChange(linesOf(event.target.value));
        }}
      />
      {hint && (
        <p id={`${id}-hint`} className="mt-0.5 text-dim text-sm">
          {hint}
        </p>
      )}
    </div>
  );
}

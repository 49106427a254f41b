import { type InputHTMLAttributes, useId } from 'react';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange' | 'value'> {
  label: string;
  value: string;
  onChange(value: string): void;
  /** What it is for, or how to write it. */
  hint?: string;
  problem?: string;
}

/** A labelled line of text. */
export function TextField({ label, value, onChange, hint, problem, className, ...input }: Props) {
  const id = useId();
  return (
    <div className={`mt-3 ${className ?? ''}`}>
      <label htmlFor={id} className="font-bold text-sm">
        {label}
      </label>
      <input
        {...input}
        id={id}
        className="field"
        value={value}
        aria-describedby={hint ? `${id}-hint` : undefined}
        aria-invalid={problem ? true : undefined}
        onChange={(event) => onChange(event.target.value)}
      />
      {hint && (
        <p id={`${id}-hint`} className="mt-0.5 text-dim text-sm">
          {hint}
        </p>
      )}
      {problem && (
        <p className="mt-1 border-madder border-l-4 pl-2 text-sm" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

import { useState } from 'react';
import { TextField } from './TextField';

/** A few words of one's own, written by a touch. */
export function RemarkBox({
  label,
  written,
  disabled,
  onGiven,
}: {
  label: string;
  /** What stands already; written anew it is replaced. */
  written: string | null | undefined;
  disabled: boolean;
  onGiven(words: string): void;
}) {
  const [text, setText] = useState<string>();
  const words = (text ?? written ?? '').trim();
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (words && words !== written) {
          onGiven(words);
        }
      }}
    >
      <TextField
        label={label}
        value={text ?? written ?? ''}
        onChange={setText}
        maxLength={300}
        disabled={disabled}
        className="min-w-56 flex-1"
      />
      <button type="submit" className="act" disabled={disabled || !words || words === written}>
        {words && words === written ? 'Written' : 'Write it'}
      </button>
    </form>
  );
}

import { useState } from 'react';
import { TextField } from '../ui/TextField';
import type { FieldBoxProps } from './FieldBox';

/** Several numbers of one unit, such as five depths of a hole; kept together. */
export function NumbersBox({ field, next, onGiven }: FieldBoxProps) {
  const wanted = field.wanted ?? 1;
  const unit = field.units?.[0]?.code;
  const [written, setWritten] = useState<string[]>(Array.from({ length: wanted }, () => ''));
  const [problem, setProblem] = useState('');
  const range = field.usualLeast != null && field.usualMost != null ? `Usual: ${field.usualLeast}–${field.usualMost}` : undefined;
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const listed = written.map((one) => one.trim()).filter((one) => one !== '');
        if (listed.length === 0) {
          setProblem('Nothing is written here. Type each as it is read.');
          return;
        }
        void onGiven({ listed, ...(unit ? { unit } : {}) });
      }}
    >
      <fieldset className="mt-3 min-w-0">
        <legend className="font-bold text-sm">
          {field.label}, {unit}
        </legend>
        {range && <p className="text-dim text-sm">{range}</p>}
        <div className="mt-1 flex flex-wrap gap-2">
          {written.map((one, at) => (
            <TextField
              // biome-ignore lint/suspicious/noArrayIndexKey: the boxes are told apart by their place alone
              key={at}
              label={`${at + 1}`}
              aria-label={`${field.label}, ${at + 1} of ${wanted}, ${unit}`}
              value={one}
              inputMode="decimal"
              autoComplete="off"
              className="w-20"
              problem={at === 0 ? problem : ''}
              onChange={(value) => {
                setWritten(written.map((other, place) => (place === at ? value : other)));
                setProblem('');
              }}
            />
          ))}
        </div>
        <button type="submit" className={`act mt-2 min-h-14 ${next ? 'act-next' : ''}`}>
          Write it down
        </button>
      </fieldset>
    </form>
  );
}

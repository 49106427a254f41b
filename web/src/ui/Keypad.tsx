import { Delete } from 'lucide-react';
import type { LengthUnit } from '../api/client';

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

/** Large keys for wet hands. The point becomes "ft" on a line in feet and inches. */
export function Keypad({
  unit,
  written,
  onChange,
  submit = 'Write it down',
}: {
  unit: LengthUnit;
  written: string;
  onChange: (written: string) => void;
  submit?: string;
}) {
  const parted = unit === 'ft-in';
  const key = 'num min-h-14 rounded-md border-[1.5px] border-ink bg-sheet font-bold text-2xl active:bg-paper2';
  return (
    <div className="mt-2 grid select-none grid-cols-3 gap-2">
      {DIGITS.map((digit) => (
        <button key={digit} type="button" className={key} onClick={() => onChange(written + digit)}>
          {digit}
        </button>
      ))}
      <button
        type="button"
        className={key}
        aria-label={parted ? 'feet' : 'point'}
        onClick={() => {
          const part = parted ? ' ' : '.';
          if (written && !written.includes(part)) {
            onChange(written + part);
          }
        }}
      >
        {parted ? 'ft' : '.'}
      </button>
      <button type="button" className={key} onClick={() => onChange(`${written}0`)}>
        0
      </button>
      <button
        type="button"
        className={`${key} flex items-center justify-center`}
        aria-label="Take back the last key"
        onClick={() => onChange(written.trimEnd().slice(0, -1))}
      >
        <Delete size={26} aria-hidden="true" />
      </button>
      <button type="submit" className="act act-next col-span-3 text-lg">
        {submit}
      </button>
    </div>
  );
}

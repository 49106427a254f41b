import { useState } from 'react';
import { writeAshore } from '../field/entries';
import type { LedgerSample } from '../field/ledger';
import { TextField } from '../ui/TextField';

/** Flow of the stream that a sample was taken from: its results then have loads. */
export function SampleFlow({ sample }: { sample: LedgerSample }) {
  const [value, setValue] = useState('');
  const [unit, setUnit] = useState('m³/s');
  if (sample.type !== 'bridge') {
    return null;
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (value.trim()) {
          void writeAshore({ visit: sample.visit, kind: 'flow', body: { sample: sample.number, value: value.trim(), unit } });
          setValue('');
        }
      }}
    >
      <TextField label="Flow of the stream" value={value} onChange={setValue} inputMode="decimal" maxLength={12} />
      <div className="mt-1 flex gap-2">
        <select className="field" value={unit} aria-label="Unit of the flow" onChange={(event) => setUnit(event.target.value)}>
          <option>m³/s</option>
          <option>L/s</option>
          <option>ft³/s</option>
        </select>
        <button type="submit" className="act" disabled={!value.trim()}>
          Keep
        </button>
      </div>
    </form>
  );
}

import { useState } from 'react';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { nowLocal } from '../field/clock';
import { writeAshore } from '../field/entries';
import type { LedgerSample } from '../field/ledger';
import { TextField } from '../ui/TextField';

type Qualifier = NonNullable<Schemas['ResultBody']['qualifier']>;

/** A single result typed by hand; what the number means, the core says beside it. */
export function TypeResult({ sample }: { sample: LedgerSample }) {
  const [open, setOpen] = useState(false);
  return open ? (
    <ResultForm sample={sample} onDone={() => setOpen(false)} />
  ) : (
    <button type="button" className="act-quiet mt-2" onClick={() => setOpen(true)}>
      type a result
    </button>
  );
}

function ResultForm({ sample, onDone }: { sample: LedgerSample; onDone(): void }) {
  const { data: analytes = [] } = usePulled(() => api.GET('/api/results/analytes'), ['analytes']);
  const [code, setCode] = useState('');
  const [value, setValue] = useState('');
  const [unit, setUnit] = useState('');
  const [qualifier, setQualifier] = useState<Qualifier | ''>('');
  const chosen = analytes.find((one) => one.code === code);
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-x-4"
      aria-label="Type a result"
      onSubmit={async (event) => {
        event.preventDefault();
        await writeAshore({
          visit: sample.visit,
          kind: 'result',
          body: {
            sample: sample.number,
            analyte: code,
            value: value.trim(),
            on: nowLocal().slice(0, 10),
            ...(unit && { unit }),
            ...(qualifier && { qualifier }),
          },
        });
        onDone();
      }}
    >
      <label className="mt-3 block text-sm">
        <span className="block font-bold">What</span>
        <select className="field w-auto" value={code} onChange={(event) => setCode(event.target.value)}>
          <option value="">choose</option>
          {analytes.map((one) => (
            <option key={one.code} value={one.code}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      <label className="mt-3 block text-sm">
        <span className="block font-bold">Said beside it</span>
        <select
          className="field w-auto"
          value={qualifier}
          onChange={(event) => setQualifier(event.target.value as Qualifier | '')}
        >
          <option value="">nothing</option>
          <option value="below">below the limit</option>
          <option value="above">above the range</option>
          <option value="estimated">estimated</option>
        </select>
      </label>
      <TextField label="Value" value={value} onChange={setValue} inputMode="decimal" maxLength={20} className="w-32" />
      <label className="mt-3 block text-sm">
        <span className="block font-bold">Unit</span>
        <select className="field w-auto" value={unit} onChange={(event) => setUnit(event.target.value)}>
          <option value="">choose</option>
          {(chosen?.units ?? []).map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
      <button type="submit" className="act mt-3" disabled={!code || !value.trim() || !unit}>
        Keep
      </button>
    </form>
  );
}

import { useState } from 'react';
import { useWords } from '../field/boxes';
import { Beside, type FieldFinding } from '../setup/findings';
import { Check } from '../ui/Check';
import { SelectBox } from '../ui/SelectBox';
import { TextField } from '../ui/TextField';
import { ticked } from '../ui/toggled';
import type { ComposedField, ComposedKind } from './composed';
import { LinesField } from './LinesField';
import { NumberBox } from './NumberBox';

const RANGED: ComposedKind[] = ['number', 'whole', 'length'];
const LISTED: ComposedKind[] = ['one-of', 'some-of', 'checklist'];
const WANTED: Partial<Record<ComposedKind, string>> = {
  counter: 'How many are wanted',
  timer: 'Seconds, at least',
  photo: 'How many photographs',
};

/** A box of a step: what it asks, what it holds, what may be and what is usual. */
export function FieldEditor({
  field,
  code,
  findings,
  onChange,
  onRemove,
}: {
  field: ComposedField;
  /** The code under which Core speaks of it. */
  code: string | undefined;
  findings: readonly FieldFinding[];
  onChange(field: ComposedField): void;
  onRemove(): void;
}) {
  // A new one is open; of one that stands the line says enough.
  const [open, setOpen] = useState(field.label === '');
  const kindName = useWords('composed.kind');
  const set = (part: Partial<ComposedField>) => onChange({ ...field, ...part });
  const wanted = WANTED[field.kind];
  const unit = field.kind === 'length' ? 'm' : field.unit;
  const bound = (words: string) => (unit ? `${words}, ${unit}` : words);
  const answers = field.kind === 'yes-no' ? ['yes', 'no'] : field.kind === 'one-of' ? (field.choices ?? []) : [];
  return (
    <li className="border-rule border-t py-2">
      <div className="flex flex-wrap items-center gap-x-4">
        <button type="button" className="act-quiet min-w-0 flex-1 text-left" aria-expanded={open} onClick={() => setOpen(!open)}>
          <b>{field.label || 'A new box'}</b>
          <span className="text-dim">
            , {kindName(field.kind)}
            {field.unit && ` (${field.unit})`}
            {field.required === false && ', may stay empty'}
          </span>
        </button>
        <button type="button" className="act-quiet text-sm" onClick={onRemove}>
          Take out<span className="sr-only"> the box {field.label}</span>
        </button>
      </div>
      {code !== undefined && <Beside field={`field/${code}`} findings={findings} />}
      {open && (
        <div className="mb-2 border-rule border-l-2 pl-4">
          <div className="grid gap-x-6 sm:grid-cols-2">
            <TextField label="What it asks" value={field.label} maxLength={120} onChange={(label) => set({ label })} />
            <SelectBox
              box="composed.kind"
              value={field.kind}
              onChange={(kind: ComposedKind) =>
                onChange({ code: field.code, label: field.label, kind, required: field.required ?? true })
              }
            />
            {(field.kind === 'number' || field.kind === 'whole') && (
              <TextField
                label="Unit"
                value={field.unit ?? ''}
                maxLength={20}
                onChange={(typed) => set({ unit: typed || null })}
                hint={field.kind === 'number' ? 'As it stands on the instrument, for example mg/L.' : 'None for a plain count.'}
              />
            )}
            {wanted && <NumberBox label={wanted} value={field.wanted} onChange={(value) => set({ wanted: value })} />}
          </div>
          {RANGED.includes(field.kind) && (
            <div className="grid grid-cols-2 gap-x-6 sm:grid-cols-4" key={field.kind}>
              <NumberBox label={bound('Least')} value={field.least} onChange={(least) => set({ least })} />
              <NumberBox label={bound('Most')} value={field.most} onChange={(most) => set({ most })} />
              <NumberBox label={bound('Usual from')} value={field.usualLeast} onChange={(usualLeast) => set({ usualLeast })} />
              <NumberBox label={bound('Usual to')} value={field.usualMost} onChange={(usualMost) => set({ usualMost })} />
            </div>
          )}
          {LISTED.includes(field.kind) && (
            <LinesField
              label={field.kind === 'checklist' ? 'Lines to tick, one on each line' : 'Choices, one on each line'}
              value={field.choices}
              onChange={(choices) => set({ choices, failsOn: (field.failsOn ?? []).filter((one) => choices.includes(one)) })}
            />
          )}
          {answers.length > 0 && (
            <fieldset className="mt-3">
              <legend className="font-bold text-sm">A try does not count where the answer is</legend>
              <div className="flex flex-wrap gap-x-5">
                {answers.map((answer) => (
                  <Check
                    key={answer}
                    checked={(field.failsOn ?? []).includes(answer)}
                    onCheck={(on) => set({ failsOn: ticked(field.failsOn, answer, on) })}
                  >
                    {answer}
                  </Check>
                ))}
              </div>
            </fieldset>
          )}
          <div className="flex flex-wrap gap-x-6">
            <Check checked={field.required !== false} onCheck={(required) => set({ required })}>
              the step is not done without it
            </Check>
            {RANGED.includes(field.kind) && (
              <Check checked={field.failsUnusual === true} onCheck={(failsUnusual) => set({ failsUnusual })}>
                a try outside the usual does not count
              </Check>
            )}
          </div>
        </div>
      )}
    </li>
  );
}

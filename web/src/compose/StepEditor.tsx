import { useState } from 'react';
import { useBox } from '../field/boxes';
import { Beside, type FieldFinding } from '../setup/findings';
import { Check } from '../ui/Check';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { ticked } from '../ui/toggled';
import { type Composed, type ComposedStep, moved, newField } from './composed';
import { FieldEditor } from './FieldEditor';

/** A step: what to do, why, what can hurt, and its boxes. */
export function StepEditor({
  step,
  at,
  protocol,
  coded,
  findings,
  onChange,
  onRefer,
  onMove,
  onRemove,
}: {
  step: ComposedStep;
  at: number;
  protocol: Composed;
  /** The same step with the codes that Core gave it. */
  coded: ComposedStep | undefined;
  findings: readonly FieldFinding[];
  onChange(step: ComposedStep): void;
  /** It names another step, or a part: their codes stay from then on. */
  onRefer(part: Partial<ComposedStep>): void;
  onMove(by: number): void;
  onRemove(): void;
}) {
  // Open from the first where something stands in it; nothing closes under the finger.
  const [opened] = useState((step.cautions?.length ?? 0) > 0);
  const cautions = useBox('composed.caution')?.choices ?? [];
  const set = (part: Partial<ComposedStep>) => onChange({ ...step, ...part });
  const others = protocol.steps.filter(({ code }, i) => i !== at && code);
  const name = step.do || `step ${at + 1}`;
  return (
    <section className="mt-5 border border-rule bg-sheet p-4" aria-label={`Step ${at + 1}`}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h3 className="flex-1 text-xl">Step {at + 1}</h3>
        {protocol.steps.length > 1 && (
          <>
            <button type="button" className="act-quiet text-sm" disabled={at === 0} onClick={() => onMove(-1)}>
              Up<span className="sr-only">: {name}</span>
            </button>
            <button
              type="button"
              className="act-quiet text-sm"
              disabled={at === protocol.steps.length - 1}
              onClick={() => onMove(1)}
            >
              Down<span className="sr-only">: {name}</span>
            </button>
          </>
        )}
        <button type="button" className="act-quiet text-sm" onClick={onRemove}>
          Take out<span className="sr-only"> {name}</span>
        </button>
      </div>
      <TextField label="What to do" value={step.do} maxLength={300} onChange={(words) => set({ do: words })} />
      <TextField label="Why" value={step.why} maxLength={300} onChange={(why) => set({ why })} hint="One short reason." />
      {coded && <Beside field={`step/${coded.code}`} findings={findings} />}
      <ul className="mt-3 border-rule border-b">
        {step.fields.map((field, i) => (
          <FieldEditor
            // biome-ignore lint/suspicious/noArrayIndexKey: boxes are known by their place
            key={i}
            field={field}
            code={coded?.fields[i]?.code}
            findings={findings}
            onChange={(changed) => set({ fields: step.fields.with(i, changed) })}
            onRemove={() => set({ fields: step.fields.filter((_, j) => j !== i) })}
          />
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-x-5">
        <button type="button" className="act-quiet" onClick={() => set({ fields: [...step.fields, newField()] })}>
          Another box
        </button>
        {step.fields.length > 1 && (
          <button
            type="button"
            className="act-quiet"
            onClick={() => set({ fields: moved(step.fields, step.fields.length - 1, -1) })}
          >
            Last box up
          </button>
        )}
      </div>
      <details className="mt-2" open={opened}>
        <summary className="cursor-pointer font-bold text-sm">Cautions, order, place</summary>
        <div className="mt-1 flex flex-wrap gap-x-5">
          {cautions.map(({ code, words }) => (
            <Check
              key={code}
              checked={(step.cautions ?? []).includes(code ?? '')}
              onCheck={(on) => set({ cautions: ticked(step.cautions, code ?? '', on) })}
            >
              {words}
            </Check>
          ))}
        </div>
        <TextField
          label="What else can hurt"
          value={step.ownCaution ?? ''}
          maxLength={300}
          onChange={(words) => set({ ownCaution: words || null })}
        />
        <div className="grid gap-x-6 sm:grid-cols-2">
          {others.length > 0 && (
            <SelectField
              label="It waits for"
              value={step.after?.[0] ?? ''}
              options={{ '': 'nothing', ...Object.fromEntries(others.map((other) => [other.code, other.do || other.code])) }}
              onChange={(after) => onRefer({ after: after ? [after] : [] })}
            />
          )}
          {(protocol.roles?.length ?? 0) > 0 && (
            <SelectField
              label="Whose part it is"
              value={step.role ?? ''}
              options={{ '': 'anybody’s', ...Object.fromEntries((protocol.roles ?? []).map((role) => [role.code, role.label])) }}
              onChange={(role) => onRefer({ role: role || null })}
            />
          )}
        </div>
        <div className="flex flex-wrap gap-x-6">
          <Check checked={step.repeated === true} onCheck={(repeated) => set({ repeated })}>
            done again for each {protocol.repeat?.label || 'repetition'}
          </Check>
          <Check checked={step.bench === true} onCheck={(bench) => set({ bench })}>
            done ashore, later
          </Check>
        </div>
      </details>
    </section>
  );
}

import type { Schemas } from '../api/client';
import { useNames } from '../field/boxes';
import { Beside, type FieldFinding } from '../setup/findings';
import { Check } from '../ui/Check';
import { SelectBox } from '../ui/SelectBox';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import type { Composed, ComposedContainer, ComposedSum } from './composed';
import { LinesField } from './LinesField';
import { NumberBox } from './NumberBox';

interface Props {
  protocol: Composed;
  coded: Composed;
  findings: readonly FieldFinding[];
  onChange(part: Partial<Composed>): void;
}

/** What its steps are repeated for, and whose hands do what. */
export function RepeatAndParts({ protocol, onChange }: Props) {
  const { repeat, roles = [] } = protocol;
  return (
    <>
      <Check
        checked={repeat != null}
        onCheck={(on) => onChange({ repeat: on ? { label: '', names: [], count: 3 } : null })}
        className="mt-2"
      >
        some steps are done more than once on a visit
      </Check>
      {repeat && (
        <div className="grid gap-x-6 border-rule border-l-2 pl-4 sm:grid-cols-3">
          <TextField
            label="One of them is a"
            value={repeat.label}
            maxLength={40}
            onChange={(label) => onChange({ repeat: { ...repeat, label } })}
            hint="Spot, drop, throw."
          />
          <NumberBox
            label="How many"
            value={repeat.count}
            onChange={(count) => onChange({ repeat: { ...repeat, count: Math.round(count ?? 1) } })}
            hint="From 1 to 12, where they have no names."
          />
          <LinesField
            label="Their names, one on each line"
            value={repeat.names}
            onChange={(names) => onChange({ repeat: { ...repeat, names } })}
          />
        </div>
      )}
      {roles.map((role, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: parts stand in their order
        <div key={i} className="grid items-end gap-x-6 sm:grid-cols-[1fr_1fr_auto]">
          <TextField
            label={`Part ${i + 1}`}
            value={role.label}
            maxLength={60}
            onChange={(label) => onChange({ roles: roles.with(i, { ...role, label }) })}
          />
          <TextField
            label="It may touch"
            value={role.touches}
            maxLength={120}
            onChange={(touches) => onChange({ roles: roles.with(i, { ...role, touches }) })}
          />
          <button
            type="button"
            className="act-quiet text-sm"
            onClick={() => onChange({ roles: roles.filter((_, j) => j !== i) })}
          >
            Take out<span className="sr-only"> part {i + 1}</span>
          </button>
        </div>
      ))}
      {roles.length < 3 && (
        <button
          type="button"
          className="act-quiet mt-2"
          onClick={() => onChange({ roles: [...roles, { code: '', label: '', touches: '' }] })}
        >
          {roles.length === 0 ? 'Parts for different people' : 'Another part'}
        </button>
      )}
      {roles.length > 1 && (
        <Check checked={protocol.rolesApart === true} onCheck={(rolesApart) => onChange({ rolesApart })}>
          never two parts in the same hands
        </Check>
      )}
    </>
  );
}

/** What it fills. */
export function Containers({
  protocol,
  coded,
  findings,
  samples,
  onChange,
}: Props & { samples: readonly Schemas['SampleType'][] }) {
  const containers = protocol.containers ?? [];
  const steps = Object.fromEntries(coded.steps.map((step) => [step.code, step.do || step.code]));
  const set = (i: number, part: Partial<ComposedContainer>) =>
    onChange({ containers: containers.with(i, { ...(containers[i] as ComposedContainer), ...part }) });
  return (
    <>
      {containers.map((container, i) => {
        const { own } = container;
        const setOwn = (part: Partial<Schemas['ComposedSample']>) => own && set(i, { own: { ...own, ...part } });
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: containers stand in their order
          <section key={i} className="mt-3 border-rule border-t pt-1" aria-label={`Container ${i + 1}`}>
            <div className="grid items-end gap-x-6 sm:grid-cols-[1fr_1fr_auto]">
              <SelectField
                label="Container"
                value={own ? '' : (container.type ?? '')}
                options={{
                  '': 'our own sort',
                  ...Object.fromEntries(samples.map((type) => [type.code, `${type.measures}, ${type.container}`])),
                }}
                onChange={(type) =>
                  set(
                    i,
                    type
                      ? { type, own: null }
                      : { type: null, own: { measures: '', container: '', fill: '', rinses: 0, keep: 'ice' } },
                  )
                }
              />
              <SelectField
                label="Filled in"
                value={container.step}
                options={{ '': 'choose the step', ...steps }}
                onChange={(step) => set(i, { step })}
              />
              <button
                type="button"
                className="act-quiet text-sm"
                onClick={() => onChange({ containers: containers.filter((_, j) => j !== i) })}
              >
                Take out<span className="sr-only"> container {i + 1}</span>
              </button>
            </div>
            {own && (
              <div className="grid gap-x-6 border-rule border-l-2 pl-4 sm:grid-cols-3">
                <TextField
                  label="What is measured"
                  value={own.measures}
                  maxLength={60}
                  onChange={(measures) => setOwn({ measures })}
                />
                <TextField
                  label="In what"
                  value={own.container}
                  maxLength={60}
                  onChange={(words) => setOwn({ container: words })}
                />
                <TextField label="How full" value={own.fill} maxLength={60} onChange={(fill) => setOwn({ fill })} />
                <TextField
                  label="What is added"
                  value={own.added ?? ''}
                  maxLength={60}
                  onChange={(added) => setOwn({ added: added || null })}
                />
                <NumberBox
                  label="Rinses, times"
                  value={own.rinses}
                  onChange={(rinses) => setOwn({ rinses: Math.round(rinses ?? 0) })}
                  hint="0 for never."
                />
                <NumberBox
                  label="At the laboratory within, h"
                  value={own.holdHours}
                  onChange={(hours) => setOwn({ holdHours: hours === null ? null : Math.round(hours) })}
                  hint="Empty where it keeps."
                />
                <SelectBox box="composed.keep" value={own.keep} onChange={(keep: Schemas['Keeping']) => setOwn({ keep })} />
                <LinesField label="On the label, too" value={own.labelAlso} onChange={(labelAlso) => setOwn({ labelAlso })} />
              </div>
            )}
            <NumberBox
              label="Replicates"
              value={container.replicates ?? 0}
              onChange={(replicates) => set(i, { replicates: Math.round(replicates ?? 0) })}
            />
            <Beside field={`container/${i}`} findings={findings} />
          </section>
        );
      })}
      <button
        type="button"
        className="act-quiet mt-2"
        onClick={() =>
          onChange({
            containers: [...containers, { step: coded.steps[0]?.code ?? '', type: samples[0]?.code ?? null, replicates: 0 }],
          })
        }
      >
        {containers.length === 0 ? 'A container to fill' : 'Another container'}
      </button>
    </>
  );
}

const TWO: ComposedSum['rule'][] = ['line-depth', 'bucket-flow', 'per-area'];

/** What is worked out, and becomes a series. */
export function Sums({ protocol, coded, findings, onChange }: Props) {
  const sums = protocol.sums ?? [];
  const rules = useNames<ComposedSum['rule']>('composed.rule');
  const fields = {
    '': 'choose the box',
    ...Object.fromEntries(coded.steps.flatMap((step) => step.fields).map((field) => [field.code, field.label || field.code])),
  };
  const set = (i: number, part: Partial<ComposedSum>) =>
    onChange({ sums: sums.with(i, { ...(sums[i] as ComposedSum), ...part }) });
  return (
    <>
      {sums.map((sum, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: sums stand in their order
        <section key={i} className="mt-3 border-rule border-t pt-1" aria-label={`Number ${i + 1}`}>
          <div className="grid gap-x-6 sm:grid-cols-2">
            <TextField label="What it is called" value={sum.name} maxLength={60} onChange={(name) => set(i, { name })} />
            <SelectField label="It is" value={sum.rule} options={rules} onChange={(rule) => set(i, { rule, second: null })} />
            <SelectField label="Of" value={sum.field} options={fields} onChange={(field) => set(i, { field })} />
            {TWO.includes(sum.rule) && (
              <SelectField label="And of" value={sum.second ?? ''} options={fields} onChange={(second) => set(i, { second })} />
            )}
            <NumberBox
              label="A change in ten years that would matter"
              value={sum.askedPerDecade ?? 1}
              onChange={(askedPerDecade) => set(i, { askedPerDecade: askedPerDecade ?? 1 })}
              hint="In its own unit."
            />
            <Check checked={sum.downward === true} onCheck={(downward) => set(i, { downward })}>
              a depth: drawn downward
            </Check>
          </div>
          <Beside field={`sum/${coded.sums?.[i]?.code ?? ''}`} findings={findings} />
          <button type="button" className="act-quiet text-sm" onClick={() => onChange({ sums: sums.filter((_, j) => j !== i) })}>
            Take out<span className="sr-only"> number {i + 1}</span>
          </button>
        </section>
      ))}
      <button
        type="button"
        className="act-quiet mt-2"
        onClick={() => onChange({ sums: [...sums, { code: '', name: '', rule: 'mean', field: '' }] })}
      >
        {sums.length === 0 ? 'Work out a number' : 'Another number'}
      </button>
    </>
  );
}

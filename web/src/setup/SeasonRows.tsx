import type { Schemas } from '../api/client';
import { useNames, useProtocolName } from '../field/boxes';
import { Check } from '../ui/Check';
import { BottleRows } from './BottleRows';

type Plan = Schemas['ProtocolPlan'];

export const NEW_ROW: Plan = {
  protocol: 'clarity',
  rhythm: 'days',
  from: { month: 5, day: 1 },
  until: { month: 9, day: 30 },
  everyDays: 14,
  leastGapDays: 10,
  greatestGapDays: 18,
  least: 0,
  turnIn: false,
};

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** What is due when: a row for each thing that is taken. */
export function SeasonRows({
  rows,
  own,
  samples,
  onChange,
}: {
  rows: readonly Plan[];
  /** The programme's own protocols, which can be planned like the others. */
  own: readonly Schemas['ComposedProtocol'][];
  samples: readonly Schemas['SampleType'][];
  onChange(rows: Plan[]): void;
}) {
  const protocolName = useProtocolName();
  const rhythms = useNames<Plan['rhythm']>('plan.rhythm');
  const known = useNames('plan.protocol');
  const protocols: Record<string, string> = { ...known, ...Object.fromEntries(own.map(({ code, title }) => [code, title])) };
  const set = (i: number, part: Partial<Plan>) => onChange(rows.map((row, j) => (j === i ? { ...row, ...part } : row)));
  return (
    <div className="mt-2">
      {rows.map((row, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the rows stand in their order
        <fieldset key={i} className="flex flex-wrap items-end gap-x-4 gap-y-2 border-rule border-b py-3">
          <legend className="sr-only">{protocolName(row.protocol)}</legend>
          <Choice label="What" value={row.protocol} options={protocols} onChange={(protocol) => set(i, { protocol })} />
          <Choice label="How often" value={row.rhythm} options={rhythms} onChange={(rhythm) => set(i, { rhythm })} />
          <DayField label="from" value={row.from} onChange={(from) => set(i, { from })} />
          <DayField label="until" value={row.until} onChange={(until) => set(i, { until })} />
          {row.rhythm === 'days' && (
            <Days label="every, days" value={row.everyDays} onChange={(everyDays) => set(i, { everyDays })} />
          )}
          {row.rhythm !== 'once' && (
            <Days label="least gap" value={row.leastGapDays} onChange={(leastGapDays) => set(i, { leastGapDays })} />
          )}
          {row.rhythm === 'days' && (
            <Days label="greatest gap" value={row.greatestGapDays} onChange={(greatestGapDays) => set(i, { greatestGapDays })} />
          )}
          {row.rhythm === 'once' && (
            <Days
              label="days after ice-out"
              value={row.daysAfterIceOut}
              onChange={(days) => set(i, { daysAfterIceOut: days || null })}
            />
          )}
          {row.rhythm !== 'once' && <Days label="fewest for a mean" value={row.least} onChange={(least) => set(i, { least })} />}
          <Days label="at the lab within, h" value={row.holdHours} onChange={(hours) => set(i, { holdHours: hours || null })} />
          <Check className="text-sm" checked={row.turnIn ?? false} onCheck={(on) => set(i, { turnIn: on })}>
            frozen, turn-in dates
          </Check>
          <button type="button" className="act-quiet text-sm" onClick={() => onChange(rows.filter((_, j) => j !== i))}>
            Leave out<span className="sr-only"> {protocolName(row.protocol)}</span>
          </button>
          {row.protocol !== 'clarity' && row.protocol !== 'profile' && (
            <BottleRows row={row} samples={samples} onChange={(bottles) => set(i, { bottles })} />
          )}
        </fieldset>
      ))}
      <button type="button" className="act mt-3" onClick={() => onChange([...rows, NEW_ROW])}>
        Add something due
      </button>
    </div>
  );
}

function Choice<Value extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: Value;
  options: Record<Value, string>;
  onChange(value: Value): void;
}) {
  return (
    <label className="text-sm">
      <span className="block text-dim">{label}</span>
      <select className="field w-auto" value={value} onChange={(event) => onChange(event.target.value as Value)}>
        {(Object.entries(options) as [Value, string][]).map(([key, name]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

function Days({ label, value, onChange }: { label: string; value: number | null | undefined; onChange(value: number): void }) {
  return (
    <label className="text-sm">
      <span className="block text-dim">{label}</span>
      <input
        className="field num w-20"
        type="number"
        min={0}
        max={400}
        value={value ?? ''}
        onChange={(event) => onChange(Math.round(Number(event.target.value)))}
      />
    </label>
  );
}

function DayField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Schemas['DayOfYear'];
  onChange(value: Schemas['DayOfYear']): void;
}) {
  return (
    <div className="text-sm">
      <span className="block text-dim">{label}</span>
      <span className="flex gap-1">
        <input
          className="field num w-16"
          type="number"
          min={1}
          max={31}
          aria-label={`${label}, day`}
          value={value.day}
          onChange={(event) => onChange({ ...value, day: Math.round(Number(event.target.value)) })}
        />
        <select
          className="field w-auto"
          aria-label={`${label}, month`}
          value={value.month}
          onChange={(event) => onChange({ ...value, month: Number(event.target.value) })}
        >
          {MONTHS.map((month, i) => (
            <option key={month} value={i + 1}>
              {month}
            </option>
          ))}
        </select>
      </span>
    </div>
  );
}

import type { LengthUnit, Schemas } from '../api/client';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { UNITS } from '../ui/units';
import { Beside, type FieldFinding } from './findings';

const SHORT = Object.fromEntries(Object.entries(UNITS).map(([unit, { short }]) => [unit, short])) as Record<LengthUnit, string>;

interface Props {
  label: string;
  value: Schemas['WrittenLength'];
  onChange(value: Schemas['WrittenLength']): void;
  findings: readonly FieldFinding[];
  field: string;
}

/** A depth as it is written, with its unit beside it. */
export function DepthField({ label, value, onChange, findings, field }: Props) {
  return (
    <div>
      <div className="flex gap-2">
        <TextField
          label={label}
          value={value.written}
          className="flex-1"
          onChange={(written) => onChange({ ...value, written })}
        />
        <SelectField label="Unit" value={value.unit ?? 'm'} options={SHORT} onChange={(unit) => onChange({ ...value, unit })} />
      </div>
      <Beside field={field} findings={findings} />
    </div>
  );
}

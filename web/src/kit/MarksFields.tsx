import type { LengthUnit, Schemas } from '../api/client';
import { DepthField } from '../setup/DepthField';
import type { FieldFinding } from '../setup/findings';
import { SelectField } from '../ui/SelectField';
import { UNITS } from '../ui/units';

export type MarksDraft = Schemas['LineMarks'];

const READ_IN = Object.fromEntries(Object.entries(UNITS).map(([unit, { name }]) => [unit, name])) as Record<LengthUnit, string>;

interface Props {
  draft: MarksDraft;
  onChange(draft: MarksDraft): void;
  findings: readonly FieldFinding[];
}

/** The marks of a line: in what they are read, how far apart they are, how much line there is. */
export function MarksFields({ draft, onChange, findings }: Props) {
  return (
    <>
      <SelectField
        label="Depths are read in"
        value={draft.unit ?? 'm'}
        options={READ_IN}
        onChange={(unit) => onChange({ ...draft, unit })}
      />
      <div className="grid gap-x-6 sm:grid-cols-2">
        <DepthField
          label="A mark each"
          value={draft.every}
          onChange={(every) => onChange({ ...draft, every })}
          findings={findings}
          field="every"
        />
        <DepthField
          label="Line that can be let out"
          value={draft.usable}
          onChange={(usable) => onChange({ ...draft, usable })}
          findings={findings}
          field="usable"
        />
      </div>
    </>
  );
}

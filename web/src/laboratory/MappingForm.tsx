import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import type { Mapping } from './ResultsPage';

type Column = 'number' | 'analyte' | 'value' | 'unit' | 'qualifier' | 'detectionLimit' | 'method' | 'date';
const COLUMNS: [Column, string][] = [
  ['number', 'Sample number'],
  ['analyte', 'What was measured'],
  ['value', 'Value'],
  ['unit', 'Unit'],
  ['qualifier', 'Qualifier (<, >, estimated)'],
  ['detectionLimit', 'Detection limit'],
  ['method', 'Method'],
  ['date', 'Day of analysis'],
];

/** Which column is what; remembered for the next file with the same heads. */
export function MappingForm({
  look,
  mapping,
  onChange,
}: {
  look: Schemas['ResultLook'];
  mapping: Mapping;
  onChange(mapping: Mapping): void;
}) {
  const { data: analytes = [] } = usePulled(() => api.GET('/api/results/analytes'), ['analytes']);
  const whole = analytes.find(({ code }) => code === mapping.wholeAnalyte);
  const units = [...new Set((whole ? [whole] : analytes).flatMap((one) => one.units))];
  return (
    <section className="mt-5" aria-label="The columns">
      <div className="overflow-x-auto border border-rule bg-sheet">
        <table className="text-sm">
          <thead>
            <tr>
              {look.heads.map((head) => (
                <th key={head} scope="col" className="whitespace-nowrap border-rule border-b px-2 py-1 text-left">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {look.first.slice(0, 4).map((row, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other identity
              <tr key={i}>
                {row.map((cell, j) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: cells have no other identity
                  <td key={j} className="num whitespace-nowrap px-2 py-0.5">
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-2 grid gap-x-5 sm:grid-cols-2 lg:grid-cols-4">
        {COLUMNS.map(([column, words]) => (
          <Select
            key={column}
            label={words}
            value={mapping[column] ?? ''}
            options={[
              ['', column === 'analyte' || column === 'unit' ? 'the same throughout' : 'none'],
              ...look.heads.map((head) => [head, head] as const),
            ]}
            onChange={(head) => onChange({ ...mapping, [column]: head || null })}
          />
        ))}
        {!mapping.analyte && (
          <Select
            label="Measured throughout"
            value={mapping.wholeAnalyte ?? ''}
            options={[['', 'choose'], ...analytes.map(({ code, name }) => [code, name] as const)]}
            onChange={(code) => onChange({ ...mapping, wholeAnalyte: code || null })}
          />
        )}
        {!mapping.unit && (
          <Select
            label="Unit throughout"
            value={mapping.wholeUnit ?? ''}
            options={[['', 'choose'], ...units.map((unit) => [unit, unit] as const)]}
            onChange={(unit) => onChange({ ...mapping, wholeUnit: unit || null })}
          />
        )}
        {mapping.date && (
          <Select
            label="Dates are written"
            value={mapping.dates ?? ''}
            options={[
              ['', 'as far as they are clear'],
              ['year-first', 'year first'],
              ['day-first', 'day first'],
              ['month-first', 'month first'],
            ]}
            onChange={(dates) => onChange({ ...mapping, dates: (dates || null) as Mapping['dates'] })}
          />
        )}
      </div>
    </section>
  );
}

function Select({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onChange(value: string): void;
}) {
  return (
    <label className="mt-3 block text-sm">
      <span className="block font-bold">{label}</span>
      <select className="field" value={value} onChange={(event) => onChange(event.target.value)}>
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

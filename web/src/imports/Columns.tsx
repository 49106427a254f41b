import type { Schemas } from '../api/client';
import type { Column, Look, Mapping } from './table';

interface Props {
  look: Look;
  mapping: Mapping;
  stations: readonly Schemas['Station'][];
  onChange(mapping: Mapping): void;
}

const ORDERS = [
  ['', 'as far as the dates tell'],
  ['year-first', 'year, month, day'],
  ['day-first', 'day, month, year'],
  ['month-first', 'month, day, year'],
] as const;

/** Column by column: its head, what stands in it, what it holds and in which unit. */
export function Columns({ look, mapping, stations, onChange }: Props) {
  const change = (index: number, column: Column) =>
    onChange({ ...mapping, columns: mapping.columns.map((one, i) => (i === index ? column : one)) });
  const named = mapping.columns.some(({ role }) => role === 'station');
  return (
    <section className="mt-5" aria-label="Columns">
      <div className="overflow-x-auto">
        <table className="w-full min-w-[40rem] text-left">
          <thead>
            <tr className="border-ink border-b-[1.5px]">
              <th scope="col" className="caps py-1 pr-4">
                Column
              </th>
              <th scope="col" className="caps pr-4">
                First rows
              </th>
              <th scope="col" className="caps pr-4">
                Holds
              </th>
              <th scope="col" className="caps">
                In
              </th>
            </tr>
          </thead>
          <tbody>
            {mapping.columns.map((column, index) => {
              const units = unitsOf(look, column);
              return (
                <tr
                  // biome-ignore lint/suspicious/noArrayIndexKey: columns keep their place, and two may have one head
                  key={index}
                  className={`border-rule border-b ${column.role === 'none' ? 'text-dim' : ''}`}
                >
                  <th scope="row" className="py-1 pr-4 font-bold">
                    {column.head}
                  </th>
                  <td className="num max-w-[16rem] truncate pr-4 text-dim text-sm">
                    {look.first
                      .slice(0, 3)
                      .map((row) => row[index])
                      .join(' · ')}
                  </td>
                  <td className="pr-4">
                    <select
                      className="field w-full min-w-[12rem]"
                      aria-label={`${column.head} holds`}
                      value={choiceKey(column)}
                      onChange={(event) => {
                        const choice = look.choices.find((one) => choiceKey(one) === event.target.value);
                        if (choice) {
                          change(index, { head: column.head, role: choice.role, analyte: choice.analyte ?? null, sure: false });
                        }
                      }}
                    >
                      {look.choices.map((choice) => (
                        <option key={choiceKey(choice)} value={choiceKey(choice)}>
                          {choice.name}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td>
                    {units.length > 0 && (
                      <select
                        className={`field w-full min-w-[8rem] ${column.unit ? '' : 'border-madder border-2'}`}
                        aria-label={`Unit of ${column.head}`}
                        value={column.unit ?? ''}
                        onChange={(event) => change(index, { ...column, unit: event.target.value || null, sure: false })}
                      >
                        <option value="">choose the unit</option>
                        {units.map((unit) => (
                          <option key={unit}>{unit}</option>
                        ))}
                      </select>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="mt-3 flex flex-wrap gap-4">
        <label>
          <span className="block font-bold text-sm">Dates are written</span>
          <select
            className="field w-auto"
            value={mapping.dates ?? ''}
            onChange={(event) => onChange({ ...mapping, dates: (event.target.value || null) as Mapping['dates'] })}
          >
            {ORDERS.map(([value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {!named && (
          <label>
            <span className="block font-bold text-sm">Station of the whole table</span>
            <select
              className={`field w-auto ${mapping.station ? '' : 'border-madder border-2'}`}
              value={mapping.station ?? ''}
              onChange={(event) => onChange({ ...mapping, station: event.target.value || null })}
            >
              <option value="">choose the station</option>
              {stations.map(({ code, name, water }) => (
                <option key={code} value={code}>
                  {water}, {name}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
    </section>
  );
}

function choiceKey({ role, analyte }: { role?: string; analyte?: string | null }): string {
  return analyte ? `${role} ${analyte}` : (role ?? 'none');
}

function unitsOf(look: Look, column: Column): readonly string[] {
  return look.choices.find((choice) => choiceKey(choice) === choiceKey(column))?.units ?? [];
}

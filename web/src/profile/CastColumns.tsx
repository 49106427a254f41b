import type { Schemas } from '../api/client';

type Column = Schemas['CastColumn'];
type Quantity = Schemas['CastQuantity'];

const QUANTITIES: [Quantity, string][] = [
  ['none', 'leave out'],
  ['depth', 'Depth'],
  ['temperature', 'Temperature'],
  ['oxygen', 'Oxygen'],
  ['conductivity', 'Conductivity'],
  ['ph', 'pH'],
  ['salinity', 'Salinity'],
];
const UNITS: Partial<Record<Quantity, string[]>> = {
  depth: ['m', 'ft'],
  temperature: ['°C', '°F'],
  oxygen: ['mg/L', '%'],
  conductivity: ['µS/cm', 'mS/cm'],
};

/** What each column of the file is taken for; a guess that can be changed and is remembered for this meter. */
export function CastColumns({ layout, onChange }: { layout: Schemas['CastLayout']; onChange: (columns: Column[]) => void }) {
  const change = (at: number, next: Partial<Column>) =>
    onChange(
      layout.columns.map((column, i) => {
        if (i === at) {
          return { ...column, ...next };
        }
        // One column for each quantity: the newer choice takes it from the older.
        return next.quantity && next.quantity !== 'none' && column.quantity === next.quantity
          ? { header: column.header, quantity: 'none' as const }
          : column;
      }),
    );
  return (
    <div className="mt-3 max-h-72 shrink-0 overflow-auto border border-rule">
      <table className="w-full border-collapse text-sm">
        <caption className="sr-only">Columns of the file</caption>
        <thead>
          <tr className="sticky top-0 border-ink border-b bg-paper text-left">
            <th scope="col" className="caps p-2">
              In the file
            </th>
            <th scope="col" className="caps p-2 max-sm:hidden">
              First row
            </th>
            <th scope="col" className="caps p-2">
              Taken for
            </th>
            <th scope="col" className="caps p-2">
              Unit
            </th>
          </tr>
        </thead>
        <tbody>
          {layout.columns.map((column, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: columns of a file have no other identity
            <tr key={i} className="border-rule border-b">
              <th scope="row" className="break-all p-2 text-left font-normal">
                {column.header}
              </th>
              <td className="num p-2 text-dim max-sm:hidden">{layout.sample[0]?.[i]}</td>
              <td className="p-1">
                <select
                  className="field !w-auto"
                  aria-label={`${column.header} is taken for`}
                  value={column.quantity}
                  onChange={(event) => {
                    const quantity = event.target.value as Quantity;
                    change(i, { quantity, unit: UNITS[quantity]?.includes(column.unit ?? '') ? column.unit : undefined });
                  }}
                >
                  {QUANTITIES.map(([quantity, words]) => (
                    <option key={quantity} value={quantity}>
                      {words}
                    </option>
                  ))}
                </select>
              </td>
              <td className="p-1">
                {UNITS[column.quantity] && (
                  <select
                    className="field !w-auto"
                    aria-label={`Unit of ${column.header}`}
                    value={column.unit ?? ''}
                    onChange={(event) => change(i, { unit: event.target.value || undefined })}
                  >
                    <option value="">not said</option>
                    {UNITS[column.quantity]?.map((unit) => (
                      <option key={unit}>{unit}</option>
                    ))}
                  </select>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

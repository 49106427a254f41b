import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { saveText } from './saveText';

export interface Column<Row> {
  name: string;
  /** For the file: the unit stands beside the name. */
  unit?: string;
  of(row: Row): string | number | null | undefined;
  /** The text on the page, where it is not the number itself. */
  shown?(row: Row): string;
}

/** The numbers behind a picture: as a table that folds away, and as CSV. */
export function DataTable<Row>({
  title,
  file,
  columns,
  rows,
  visitOf,
}: {
  title: string;
  file: string;
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  visitOf?(row: Row): string | undefined;
}) {
  // What nobody looks at is not drawn.
  const [open, setOpen] = useState(false);
  const csv = () =>
    [
      columns.map(({ name, unit }) => quoted(unit ? `${name} (${unit})` : name)).join(','),
      ...rows.map((row) => columns.map(({ of }) => quoted(String(of(row) ?? ''))).join(',')),
    ].join('\r\n');
  return (
    <details className="mt-4 border-rule border-t" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="flex min-h-(--target) cursor-pointer items-center gap-2 text-slate underline decoration-1 underline-offset-4">
        {title}: {rows.length} {rows.length === 1 ? 'row' : 'rows'}
      </summary>
      <button
        type="button"
        className="act-quiet print:hidden"
        onClick={() => saveText(`${file}.csv`, 'text/csv', `${csv()}\r\n`)}
      >
        Save as CSV
      </button>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a part that scrolls is reached by keyboard, too */}
      <section className="max-h-[30rem] overflow-auto print:max-h-none" tabIndex={0} aria-label={title}>
        <table className="w-full text-sm">
          <thead>
            <tr className="border-ink border-b text-left">
              {columns.map(({ name, unit }) => (
                <th key={name} scope="col" className="py-1 pr-4 font-bold">
                  {name}
                  {unit && <span className="font-normal text-dim">, {unit}</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {(open ? rows : []).map((row, i) => {
              const visit = visitOf?.(row);
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: rows have their place and no other name
                <tr key={i} className="border-rule border-b">
                  {columns.map((column, c) => {
                    const text = column.shown?.(row) ?? String(column.of(row) ?? '');
                    return (
                      <td key={column.name} className={`py-1 pr-4 ${typeof column.of(row) === 'number' ? 'num' : ''}`}>
                        {c === 0 && visit ? (
                          <Link to="/visit/$visit" params={{ visit }}>
                            {text}
                          </Link>
                        ) : (
                          text
                        )}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
    </details>
  );
}

/** A field as RFC 4180 wants it; one that a spreadsheet would take for a formula is kept as text. */
export function quoted(field: string): string {
  const safe = /^[=+\-@\t\r]/.test(field) && Number.isNaN(Number(field)) ? `'${field}` : field;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}

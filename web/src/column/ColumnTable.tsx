import type { FieldSheet } from '../api/client';

/** The column for those who do not see it. */
export function ColumnTable({ sheet }: { sheet: FieldSheet }) {
  const { result } = sheet.clarity;
  const rows = [
    ...sheet.clarity.boxes
      .filter((b) => b.text)
      .map((b) => ({ what: `disc ${b.event}, reading ${b.lowering}`, depth: b.text ?? '', depthM: b.depthM ?? 0 })),
    ...(result.text ? [{ what: 'clarity', depth: result.text, depthM: result.clarityM ?? 0 }] : []),
    ...(sheet.composite.text
      ? [{ what: 'composite, depth to mark', depth: sheet.composite.text, depthM: sheet.composite.markM ?? 0 }]
      : []),
    ...(sheet.composite.limitText
      ? [{ what: 'keep off below', depth: sheet.composite.limitText, depthM: sheet.composite.limitM ?? 0 }]
      : []),
    sheet.sounding
      ? { what: 'bottom, sounded', depth: sheet.sounding.text, depthM: sheet.sounding.depthM }
      : { what: 'bottom, known depth', depth: sheet.knownText ?? 'unknown', depthM: sheet.bottomM },
  ].sort((a, b) => a.depthM - b.depthM);
  return (
    <table className="sr-only">
      <caption>The water column, from the surface down</caption>
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Depth</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.what}>
            <th scope="row">{row.what}</th>
            <td>{row.depth}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

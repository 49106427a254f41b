import { memo } from 'react';
import type { FieldSheet } from '../api/client';

/** The column for those who do not see it. */
export function ColumnTable({ sheet }: { sheet: FieldSheet }) {
  const { result } = sheet.clarity;
  const rows = [
    ...sheet.clarity.boxes
      .filter((b) => b.text)
      .map((b) => ({ what: `disc ${b.event}, reading ${b.lowering}`, depth: b.text ?? '', depthM: b.depthM ?? 0 })),
    ...(result.text ? [{ what: 'clarity', depth: result.text, depthM: result.clarityM ?? 0 }] : []),
    ...(sheet.profile?.levels ?? []).map((level) => ({
      what: [
        'level',
        level.temperatureC != null ? `${level.temperatureC.toFixed(1)} °C` : '',
        level.mgLText ? `${level.mgLText} mg/L oxygen` : '',
        level.percent ? `${level.percent} % of saturation` : '',
      ]
        .filter(Boolean)
        .join(', '),
      depth: level.depthText,
      depthM: level.depthM,
    })),
    ...(sheet.profile?.figures ?? []).flatMap((figure) =>
      figure.depthM != null && figure.key !== 'degree' ? [{ what: figure.label, depth: figure.text, depthM: figure.depthM }] : [],
    ),
    ...(sheet.bottles?.places ?? []).flatMap((place) =>
      place.depthM != null && place.text
        ? [
            {
              what: `${place.title}, ${place.done ? 'bottles taken' : 'bottles planned'}`,
              depth: place.text,
              depthM: place.depthM,
            },
          ]
        : [],
    ),
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
    <div className="sr-only">
      <table>
        <caption>The water column, from the surface down</caption>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Depth</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: two levels may say the same
            <Row key={i} what={row.what} depth={row.depth} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

const Row = memo(function Row({ what, depth }: { what: string; depth: string }) {
  return (
    <tr>
      <th scope="row">{what}</th>
      <td>{depth}</td>
    </tr>
  );
});

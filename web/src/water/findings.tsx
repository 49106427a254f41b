import type { FieldSheet, Finding, Schemas } from '../api/client';
import { write } from '../field/entries';
import { FindingNote } from '../ui/FindingNote';

/** The findings beside one part of the visit, stops first, each with its ways on. */
export function FindingsBeside({
  sheet,
  beside,
  repairs,
}: {
  sheet: FieldSheet;
  beside: Schemas['Beside'];
  repairs?: (finding: Finding) => React.ReactNode;
}) {
  const rank = { stop: 0, check: 1, note: 2 };
  return sheet.findings
    .filter((finding) => finding.beside === beside)
    .toSorted((a, b) => rank[a.level] - rank[b.level])
    .map((finding) => (
      <FindingNote
        key={finding.code + finding.about.join()}
        finding={finding}
        onKeep={
          finding.level === 'note'
            ? undefined
            : (why) =>
                void write({ visit: sheet.visit, kind: 'kept', body: { finding: finding.code, about: finding.about }, why })
        }
      >
        {repairs?.(finding)}
      </FindingNote>
    ));
}

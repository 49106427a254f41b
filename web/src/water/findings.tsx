import type { FieldSheet, Finding, Schemas } from '../api/client';
import { write } from '../field/entries';
import { FindingNote } from '../ui/FindingNote';
import { type Here, useHere } from './now/here';
import { Repairs } from './now/Repairs';
import { type Repair, repairsOf } from './now/repairs';
import { byRank, keyOf } from './now/worst';

/** The findings beside one part of the visit, stops first, each with its ways on; the one that is said above the bar stands there alone. */
export function FindingsBeside({ sheet, beside }: { sheet: FieldSheet; beside: Schemas['Beside'] }) {
  return <Findings sheet={sheet} findings={sheet.findings.filter((finding) => finding.beside === beside)} />;
}

export function Findings({
  sheet,
  findings,
  repairs = repairsOf,
}: {
  sheet: FieldSheet;
  findings: Finding[];
  repairs?: (finding: Finding, here: Here) => Repair[];
}) {
  const here = useHere();
  return findings
    .filter((finding) => finding !== here?.inBar)
    .toSorted(byRank)
    .map((finding) => (
      <FindingNote
        key={keyOf(finding)}
        finding={finding}
        onKeep={
          finding.level === 'note'
            ? undefined
            : (why) =>
                void write({ visit: sheet.visit, kind: 'kept', body: { finding: finding.code, about: finding.about }, why })
        }
      >
        {here && <Repairs repairs={repairs(finding, here)} />}
      </FindingNote>
    ));
}

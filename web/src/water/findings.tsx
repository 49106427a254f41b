import type { FieldSheet, Finding, Schemas } from '../api/client';
import { write } from '../field/entries';
import { FindingNote } from '../ui/FindingNote';

/** Findings that ask to choose between entries. */
const BETWEEN = ['devices-disagree', 'number-called-twice'];

/** Of entries that say different things one is struck; it stays legible. */
function StrikeOneOf({ sheet, finding }: { sheet: FieldSheet; finding: Finding }) {
  return sheet.entries
    .filter((entry) => finding.about.includes(entry.id))
    .map((entry) => (
      <button
        key={entry.id}
        type="button"
        className="act"
        onClick={() =>
          void write({ visit: sheet.visit, kind: 'strike', body: {}, strikes: entry.id, why: 'the other number stands' })
        }
      >
        Strike {entry.text} ({entry.device})
      </button>
    ));
}

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
        key={finding.code + finding.why + finding.about.join()}
        finding={finding}
        onKeep={
          finding.level === 'note'
            ? undefined
            : (why) =>
                void write({ visit: sheet.visit, kind: 'kept', body: { finding: finding.code, about: finding.about }, why })
        }
      >
        {repairs?.(finding)}
        {BETWEEN.includes(finding.code) && <StrikeOneOf sheet={sheet} finding={finding} />}
      </FindingNote>
    ));
}

import type { ReactNode } from 'react';
import type { Finding, Schemas } from '../api/client';
import { writeAshore } from '../field/entries';
import { FindingNote } from '../ui/FindingNote';

/** Findings on a sample, stops first, each with its ways on. */
export function SampleFindings({
  sample,
  only,
  mayAnswer = true,
  repairs,
}: {
  sample: Pick<Schemas['LedgerSample'], 'visit' | 'findings'>;
  /** Beside which part of the page; all where it is not said. */
  only?: readonly Schemas['Beside'][];
  mayAnswer?: boolean;
  repairs?: (finding: Finding) => ReactNode;
}) {
  const rank = { stop: 0, check: 1, note: 2 };
  return sample.findings
    .filter((finding) => !only || only.includes(finding.beside))
    .toSorted((a, b) => rank[a.level] - rank[b.level])
    .map((finding) => (
      <FindingNote
        key={finding.code + finding.seen + finding.about.join()}
        finding={finding}
        onKeep={
          finding.level === 'note' || finding.about.length === 0 || !mayAnswer
            ? undefined
            : (why) =>
                void writeAshore({
                  visit: sample.visit,
                  kind: 'kept',
                  body: { finding: finding.code, about: finding.about },
                  why,
                })
        }
      >
        {repairs?.(finding)}
      </FindingNote>
    ));
}

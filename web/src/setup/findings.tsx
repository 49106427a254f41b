import type { Schemas } from '../api/client';

export type FieldFinding = Schemas['FieldFinding'];

/** What stands beside a field of a form: in words, a stop and a check told apart. */
export function Beside({ field, findings }: { field: string; findings: readonly FieldFinding[] }) {
  return findings
    .filter((f) => f.field === field)
    .map(({ finding }) => (
      <p
        key={finding.code + finding.seen}
        className={`mt-1.5 border-l-4 pl-2 text-sm ${finding.level === 'stop' ? 'border-madder' : 'border-dim'}`}
      >
        <b>{finding.seen}</b> {finding.why} {finding.act}
      </p>
    ));
}

/** One line above the button: what keeps it from being saved. */
export function Summary({ findings }: { findings: readonly FieldFinding[] }) {
  const stops = findings.filter((f) => f.finding.level === 'stop').length;
  return stops > 0 ? (
    <p className="mt-4 border border-madder bg-sheet p-3" role="alert">
      Nothing was kept yet: {stops === 1 ? 'one thing is' : `${stops} things are`} to be put right, marked above.
    </p>
  ) : null;
}

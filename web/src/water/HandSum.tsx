import { useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { compute } from '../field/core';
import { write } from '../field/entries';
import { TextField } from '../ui/TextField';
import { UNITS } from '../ui/units';
import { WrittenMark } from './WrittenMark';

/** A sum that stands worked out on a paper sheet. It is held against the working; the worked figure is the one that is used. */
export function HandSum({ sheet, sum, label }: { sheet: FieldSheet; sum: NonNullable<Schemas['HandSum']>; label: string }) {
  const [written, setWritten] = useState('');
  const [problem, setProblem] = useState('');
  const unit = sheet.lineUnit ?? 'm';
  const said = sheet.sums.find((one) => one.sum === sum);
  if (!sheet.paper) {
    return null;
  }
  if (said) {
    return (
      <div className="mt-4 border-rule border-t">
        <WrittenMark visit={sheet.visit} entry={said.entry} label={label} text={said.text} note="as it stands on the sheet" />
      </div>
    );
  }
  if (sheet.state === 'closed') {
    return null;
  }

  async function give() {
    const { finding, depthM } = await compute('length', { written, unit });
    if (depthM == null) {
      setProblem(finding ? `${finding.seen} ${finding.act}` : 'Write the number.');
      return;
    }
    await write({ visit: sheet.visit, kind: 'worked-by-hand', body: { sum, value: { written, unit } } });
    setWritten('');
  }

  return (
    <form
      className="mt-4 flex max-w-md items-end gap-2 border-rule border-t"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void give().catch((error: Error) => setProblem(error.message));
      }}
    >
      <TextField
        label={`${label}, ${UNITS[unit].short}`}
        hint="Only where the sheet has it; the sum is done here anyway."
        className="min-w-0 flex-1"
        value={written}
        maxLength={12}
        autoComplete="off"
        problem={problem}
        onChange={(next) => {
          setWritten(next);
          setProblem('');
        }}
      />
      <button type="submit" className="act mb-6" disabled={!written.trim()}>
        Compare
      </button>
    </form>
  );
}

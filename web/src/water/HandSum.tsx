import { useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { compute } from '../field/core';
import { write } from '../field/entries';
import { Problem } from '../ui/Problem';
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
      className="mt-4 max-w-md border-rule border-t"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void give().catch((error: Error) => setProblem(error.message));
      }}
    >
      <div className="flex items-end gap-2">
        <TextField
          label={`${label}, ${UNITS[unit].short}`}
          className="min-w-0 flex-1"
          value={written}
          maxLength={12}
          autoComplete="off"
          aria-invalid={problem ? true : undefined}
          onChange={(next) => {
            setWritten(next);
            setProblem('');
          }}
        />
        <button type="submit" className="act" disabled={!written.trim()}>
          Compare
        </button>
      </div>
      <Problem words={problem} />
      <p className="mt-0.5 text-dim text-sm">Only where the sheet has it; the sum is done here anyway.</p>
    </form>
  );
}

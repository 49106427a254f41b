import { useState } from 'react';
import { canScan, ScanLabel } from '../bottles/ScanLabel';
import { TextField } from '../ui/TextField';
import type { FieldBoxProps } from './FieldBox';

/** A code that is scanned, or typed as it is printed. */
export function CodeBox({ field, next, onGiven }: FieldBoxProps) {
  const [written, setWritten] = useState('');
  const [problem, setProblem] = useState('');
  const [scanning, setScanning] = useState(false);
  return (
    <form
      className="mt-1"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (written.trim() === '') {
          setProblem('Nothing is written here. Scan it, or type it as it is printed.');
          return;
        }
        void onGiven({ written: written.trim() }).then(() => setWritten(''));
      }}
    >
      <div className="flex flex-wrap items-end gap-x-3">
        <TextField
          label={field.label}
          value={written}
          problem={problem}
          autoComplete="off"
          autoCapitalize="characters"
          className="w-64"
          onChange={(value) => {
            setWritten(value);
            setProblem('');
          }}
        />
        {canScan() && (
          <button type="button" className="act mt-3 min-h-14" onClick={() => setScanning(!scanning)}>
            {scanning ? 'Stop scanning' : 'Scan'}
          </button>
        )}
        <button type="submit" className={`act mt-3 min-h-14 ${next ? 'act-next' : ''}`}>
          Write it down
        </button>
      </div>
      {scanning && (
        <ScanLabel
          onRead={(code) => {
            setScanning(false);
            void onGiven({ written: code });
          }}
        />
      )}
    </form>
  );
}

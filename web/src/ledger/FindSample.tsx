import { useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { canScan, ScanLabel } from '../bottles/ScanLabel';
import { compute } from '../field/core';

/** Finds a sample by what is typed, or by its label held before the camera. */
export function FindSample({ typed, onType }: { typed: string; onType(typed: string): void }) {
  const navigate = useNavigate();
  const [scanning, setScanning] = useState(false);
  const [problem, setProblem] = useState('');
  async function open(text: string) {
    const { number, finding } = await compute('sample-number', { typed: text });
    setProblem(finding ? `${finding.seen} ${finding.act}` : '');
    if (number) {
      await navigate({ to: '/ledger/sample/$number', params: { number } });
    }
  }
  return (
    <search className="min-w-0 flex-1">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (typed.trim()) {
            void open(typed);
          }
        }}
      >
        <label className="block">
          <span className="sr-only">Find a sample</span>
          <input
            className="field"
            type="search"
            value={typed}
            placeholder="Number, water, box…"
            autoComplete="off"
            onChange={(event) => {
              onType(event.target.value);
              setProblem('');
            }}
          />
        </label>
      </form>
      {canScan() && (
        <button type="button" className="act-quiet" onClick={() => setScanning(!scanning)}>
          {scanning ? 'stop scanning' : 'scan a label'}
        </button>
      )}
      {scanning && (
        <ScanLabel
          onRead={(text) => {
            setScanning(false);
            void open(text);
          }}
        />
      )}
      {problem && (
        <p className="mt-1 border-madder border-l-4 pl-2 text-sm" role="alert">
          {problem}
        </p>
      )}
    </search>
  );
}

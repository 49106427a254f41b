import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { readSetting } from '../field/store';
import { saveText } from '../record/saveText';
import { Beside, type FieldFinding } from '../setup/findings';
import { Problem } from '../ui/Problem';
import { DRAFT } from './Composer';
import { type Composed, fromFile, NEW_PROTOCOL } from './composed';

interface Props {
  programme: Schemas['Programme'];
  findings: readonly FieldFinding[];
  onCompose(protocol: Composed): void;
  onRemove(code: string): void;
}

/** The group's own protocols in a programme: composed, changed, handed on as a file, brought in from one. */
export function OwnProtocols({ programme, findings, onCompose, onRemove }: Props) {
  const own = programme.own ?? [];
  const [problem, setProblem] = useState('');
  const draft = useLiveQuery(() => readSetting<{ programme: string; protocol: Composed } | null>(DRAFT, null), []);

  async function bring(file: File | undefined) {
    if (!file) {
      return;
    }
    try {
      const protocol = await fromFile(file);
      setProblem('');
      onCompose(protocol);
    } catch (error) {
      setProblem(`${file.name} cannot be read: ${(error as Error).message} Nothing was taken from it.`);
    }
  }

  return (
    <>
      <ul className="mt-2">
        {own.map((protocol) => (
          <li key={protocol.code} className="flex flex-wrap items-center gap-x-5 gap-y-1 border-rule border-b py-2">
            <p className="min-w-0 flex-1 basis-60">
              <b className="text-lg">{protocol.title}</b>{' '}
              <span className="text-dim text-sm">
                {protocol.version > 0 ? `version ${protocol.version}` : 'not published yet'}
              </span>
              <span className="block text-dim">{protocol.purpose}</span>
            </p>
            <button
              type="button"
              className="act"
              onClick={() =>
                saveText(`${protocol.code}-${protocol.version}.json`, 'application/json', JSON.stringify(protocol, null, 2))
              }
            >
              File<span className="sr-only"> of {protocol.title}</span>
            </button>
            <button type="button" className="act" onClick={() => onCompose(protocol)}>
              Change<span className="sr-only"> {protocol.title}</span>
            </button>
            <button type="button" className="act-quiet text-sm" onClick={() => onRemove(protocol.code)}>
              Leave out<span className="sr-only"> {protocol.title}</span>
            </button>
            {findings
              .filter(({ field }) => field.startsWith(`own/${protocol.code}/`))
              .map((finding) => (
                <div key={finding.field + finding.finding.code} className="basis-full">
                  <Beside field={finding.field} findings={[finding]} />
                </div>
              ))}
          </li>
        ))}
      </ul>
      <Beside field="own" findings={findings} />
      <Problem words={problem} />
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <button type="button" className="act" onClick={() => onCompose(NEW_PROTOCOL)}>
          Compose a protocol
        </button>
        {draft && draft.programme === programme.code && (
          <button type="button" className="act" onClick={() => onCompose(draft.protocol)}>
            Go on with {draft.protocol.title || 'what was begun'}
          </button>
        )}
        <label className="text-sm">
          Or bring its file{' '}
          <input
            type="file"
            accept=".json,application/json"
            aria-label="A protocol’s file"
            onChange={(event) => void bring(event.target.files?.[0])}
          />
        </label>
      </div>
    </>
  );
}

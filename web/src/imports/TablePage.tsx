import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import type { Asked } from '../api/asked';
import { api } from '../api/client';
import { idOf, useLook } from '../api/useLook';
import { usePulled } from '../api/usePulled';
import { refreshNow } from '../field/delivery';
import { FileChoice } from '../ui/FileChoice';
import { Problem } from '../ui/Problem';
import { Columns } from './Columns';
import { Imports } from './Imports';
import { Outcome } from './Outcome';
import { type Answer, type Field, lookAt, type Mapping, read } from './table';

/** An old table: looked at, its columns and units named, what would come of it shown, then brought in; and taken back whole. */
export function TablePage() {
  const [file, setFile] = useState<File>();
  const [busy, setBusy] = useState(false);
  const imports = usePulled(() => api.GET('/api/imports'));
  return (
    <>
      <p className="text-sm">
        <Link to="/setup/data">Data</Link>
      </p>
      <h1 className="text-2xl sm:text-3xl">Bring an old table in</h1>
      <p className="mt-1 max-w-prose text-dim">
        A table of earlier years, saved from the spreadsheet as CSV: a row for each visit, or for each depth of a visit. Rows of
        one station and day become one visit. Nothing is guessed, and a whole table can be taken back.
      </p>
      <FileChoice chosen={file} next={!file} onChoose={setFile} />
      {file && <Chosen key={idOf(file)} file={file} onBusy={setBusy} onKept={imports.again} />}
      <Imports imports={imports.data} busy={busy} onChanged={imports.again} />
    </>
  );
}

function Chosen({ file, onBusy, onKept }: { file: File; onBusy(busy: boolean): void; onKept(): Promise<void> }) {
  const { data: stations } = usePulled(() => api.GET('/api/stations'));
  const look = useLook(file, ['look'], () => lookAt(file));
  const [own, setOwn] = useState<Mapping>();
  const [stand, setStand] = useState<Field[]>([]);
  const [kept, setKept] = useState<Asked<Answer>>();
  const [stop, setStop] = useState<AbortController>();
  const done = kept?.data?.import != null;
  const mapping = done ? undefined : (own ?? look.data?.mapping);
  // What would come of it follows each change of the columns.
  const would = useLook(file, ['would', mapping, stand], mapping && (() => read(file, mapping, stand, false)));
  const answer = kept?.data ?? would.data;

  async function keep() {
    if (!mapping) {
      return;
    }
    const stopping = new AbortController();
    setStop(stopping);
    onBusy(true);
    const { data, problem } = await read(file, mapping, stand, true, stopping.signal);
    setStop(undefined);
    onBusy(false);
    setKept({
      // What was not brought in is looked at as it was before.
      data: data?.import ? data : undefined,
      problem: stopping.signal.aborted ? 'Stopped. What was brought in, if anything was already, stands below.' : problem,
    });
    if (data?.import) {
      refreshNow();
    }
    await onKept();
  }

  function change(changed: Mapping) {
    setOwn(changed);
    setKept(undefined);
  }

  return (
    <>
      {look.data && <span className="ml-3 text-dim">{look.data.rows} rows</span>}
      <Problem words={kept?.problem || would.problem || look.problem} />
      {look.data && mapping && (
        <Columns
          look={look.data}
          mapping={mapping}
          stations={stations?.map(({ station }) => station) ?? []}
          onChange={(changed) => {
            change(changed);
            setStand([]);
          }}
        />
      )}
      {answer && (
        <Outcome
          answer={answer}
          stand={stand}
          busy={stop !== undefined}
          onStand={(fields) => {
            setStand(fields);
            setKept(undefined);
          }}
          onSure={(at) =>
            mapping &&
            change({ ...mapping, columns: mapping.columns.map((column, i) => (i === at ? { ...column, sure: true } : column)) })
          }
          onKeep={() => void keep()}
          onStop={() => stop?.abort()}
        />
      )}
    </>
  );
}

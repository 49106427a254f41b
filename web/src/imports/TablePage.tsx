import { Link } from '@tanstack/react-router';
import { useEffect, useState } from 'react';
import { api } from '../api/client';
import { usePulled } from '../api/usePulled';
import { refreshNow } from '../field/delivery';
import { FileChoice } from '../ui/FileChoice';
import { Problem } from '../ui/Problem';
import { Columns } from './Columns';
import { Imports } from './Imports';
import { Outcome } from './Outcome';
import { type Answer, type Field, type Look, lookAt, type Mapping, read } from './table';

/** An old table: looked at, its columns and units named, what would come of it shown, then brought in; and taken back whole. */
export function TablePage() {
  const [file, setFile] = useState<File>();
  const [look, setLook] = useState<Look>();
  const [mapping, setMapping] = useState<Mapping>();
  const [stand, setStand] = useState<Field[]>([]);
  const [answer, setAnswer] = useState<Answer>();
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState<AbortController>();
  const imports = usePulled(() => api.GET('/api/imports'));
  const { data: stations } = usePulled(() => api.GET('/api/stations'));

  async function choose(chosen: File | undefined) {
    setFile(chosen);
    setLook(undefined);
    setMapping(undefined);
    setAnswer(undefined);
    setStand([]);
    if (chosen) {
      const { data, problem: words } = await lookAt(chosen);
      setProblem(words);
      setLook(data);
      setMapping(data?.mapping);
    }
  }

  // What would come of it follows each change of the columns.
  const key = JSON.stringify([mapping, stand]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for mapping and fields
  useEffect(() => {
    if (!file || !mapping) {
      return;
    }
    let current = true;
    void read(file, mapping, stand, false).then(({ data, problem: words }) => {
      if (current) {
        setProblem(words);
        setAnswer(data);
      }
    });
    return () => {
      current = false;
    };
  }, [file, key]);

  async function keep() {
    if (!file || !mapping) {
      return;
    }
    const stop = new AbortController();
    setBusy(stop);
    const { data, problem: words } = await read(file, mapping, stand, true, stop.signal);
    setBusy(undefined);
    setProblem(stop.signal.aborted ? 'Stopped. What was brought in, if anything was already, stands below.' : words);
    if (data?.import) {
      setAnswer(data);
      setMapping(undefined);
      refreshNow();
    }
    await imports.again();
  }

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
      <FileChoice chosen={file} next={!file} onChoose={(chosen) => void choose(chosen)} />
      {look && <span className="ml-3 text-dim">{look.rows} rows</span>}
      <Problem words={problem} />
      {look && mapping && (
        <Columns
          look={look}
          mapping={mapping}
          stations={stations?.map(({ station }) => station) ?? []}
          onChange={(changed) => {
            setMapping(changed);
            setStand([]);
          }}
        />
      )}
      {answer && (
        <Outcome
          answer={answer}
          stand={stand}
          busy={busy !== undefined}
          onStand={setStand}
          onSure={(at) =>
            mapping &&
            setMapping({
              ...mapping,
              columns: mapping.columns.map((column, i) => (i === at ? { ...column, sure: true } : column)),
            })
          }
          onKeep={() => void keep()}
          onStop={() => busy?.abort()}
        />
      )}
      <Imports imports={imports.data} busy={busy !== undefined} onChanged={imports.again} />
    </>
  );
}

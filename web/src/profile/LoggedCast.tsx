import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { FindingNote } from '../ui/FindingNote';
import { Problem } from '../ui/Problem';
import { CastColumns } from './CastColumns';
import { type LookedAt, lookAt, readCast, writeCast } from './castFile';
import type { Profile } from './columns';

/** Levels from a file of the meter's memory: choose it, see what its columns are taken for, see the levels, write them. */
export function LoggedCast({ sheet, profile }: { sheet: FieldSheet; profile: Profile }) {
  const input = useRef<HTMLInputElement>(null);
  const [looked, setLooked] = useState<LookedAt>();
  const [result, setResult] = useState<Schemas['CastResult']>();
  const [problem, setProblem] = useState('');
  const turn = useRef(0);

  async function read(next: LookedAt) {
    turn.current += 1;
    const mine = turn.current;
    setLooked(next);
    setProblem('');
    if (next.layout.fault) {
      setResult(undefined);
      return;
    }
    try {
      const found = await readCast(next, profile);
      if (mine === turn.current) {
        setResult(found);
      }
    } catch (error) {
      setProblem(`The file could not be read: ${(error as Error).message}`);
    }
  }

  async function choose(file: File | undefined) {
    if (!file) {
      return;
    }
    setResult(undefined);
    try {
      await read(await lookAt(file));
    } catch (error) {
      setLooked(undefined);
      setProblem(`The file could not be read: ${(error as Error).message}`);
    }
  }

  const findings = [...(looked?.layout.fault ? [looked.layout.fault] : []), ...(result?.findings ?? [])];
  const stopped = findings.some(({ finding }) => finding.level === 'stop');
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        className="sr-only"
        aria-label="File of a logged cast"
        tabIndex={-1}
        onChange={(event) => {
          void choose(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <button type="button" className="act" onClick={() => input.current?.click()}>
        From the meter’s memory
      </button>
      {!looked && <Problem words={problem} />}
      <Dialog.Root
        open={looked !== undefined}
        onOpenChange={() => {
          turn.current += 1;
          setLooked(undefined);
        }}
      >
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-20 bg-ink/40" />
          <Dialog.Content
            className="fixed inset-x-2 top-[4vh] z-30 mx-auto flex max-h-[92vh] max-w-3xl flex-col overflow-y-auto border-[1.5px] border-ink bg-paper p-5 sm:p-7"
            aria-describedby={undefined}
          >
            <Dialog.Title className="text-2xl">A cast from the meter’s memory</Dialog.Title>
            {looked && (
              <>
                <p className="mt-1 break-all text-dim">
                  {looked.file.name}
                  {result && (
                    <>
                      : <span className="num">{result.rows}</span> rows, <span className="num">{result.used}</span> of the way{' '}
                      {result.wayUp ? 'up' : 'down'}
                      {result.deepestM != null && (
                        <>
                          , to <span className="num">{result.deepestM} m</span>
                        </>
                      )}
                    </>
                  )}
                </p>
                {!looked.layout.fault && (
                  <CastColumns
                    layout={looked.layout}
                    onChange={(columns) => void read({ ...looked, layout: { ...looked.layout, columns } })}
                  />
                )}
                {findings.map(({ finding }) => (
                  <FindingNote key={finding.code} finding={finding} />
                ))}
                <Problem words={problem} />
                {result && result.levels.length > 0 && <CastLevels levels={result.levels} />}
                {!result && !looked.layout.fault && !problem && <p className="mt-4 text-dim">Reading…</p>}
                <div className="-mx-5 -mb-5 sm:-mx-7 sm:-mb-7 sticky bottom-[-1.25rem] mt-5 flex flex-wrap gap-3 border-rule border-t bg-paper px-5 py-3 sm:bottom-[-1.75rem] sm:px-7">
                  {result && result.levels.length > 0 && (
                    <button
                      type="button"
                      className="act act-next"
                      disabled={stopped}
                      onClick={async () => {
                        try {
                          await writeCast(sheet.visit, looked, result);
                          setLooked(undefined);
                        } catch (error) {
                          setProblem(`Nothing was written: ${(error as Error).message}`);
                        }
                      }}
                    >
                      Write {result.levels.length} levels down
                    </button>
                  )}
                  <Dialog.Close className="act">Not this file</Dialog.Close>
                </div>
              </>
            )}
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function CastLevels({ levels }: { levels: Schemas['CastLevel'][] }) {
  return (
    <table className="mt-4 w-full border-collapse">
      <caption className="caps pb-1 text-left">What each level would hold</caption>
      <thead>
        <tr className="border-ink border-b text-right text-dim text-sm">
          <th scope="col" className="py-1 text-left font-normal">
            Depth
          </th>
          <th scope="col" className="font-normal">
            Temperature
          </th>
          <th scope="col" className="font-normal">
            Oxygen
          </th>
          <th scope="col" className="font-normal max-sm:hidden">
            Median of
          </th>
        </tr>
      </thead>
      <tbody className="num">
        {levels.map(({ body, depthM, rows }) => (
          <tr key={depthM} className="border-rule border-b text-right">
            <td className="py-1 text-left">
              {body.depth.written} {body.depth.unit}
            </td>
            <td>{body.temperature ? `${body.temperature.written} ${body.temperature.unit}` : '–'}</td>
            <td>{body.oxygen ? `${body.oxygen.written} ${body.oxygen.unit ?? ''}` : '–'}</td>
            <td className="text-dim max-sm:hidden">{rows} rows</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

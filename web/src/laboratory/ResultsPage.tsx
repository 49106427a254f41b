import { Link } from '@tanstack/react-router';
import { type ReactNode, useState } from 'react';
import { type Asked, asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { rawFile } from '../api/rawFile';
import { idOf, useLook } from '../api/useLook';
import { usePulled } from '../api/usePulled';
import { refreshNow } from '../field/delivery';
import { askSession } from '../people/session';
import { FileChoice } from '../ui/FileChoice';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { HeldRows } from './HeldRows';
import { MappingForm } from './MappingForm';
import { takeFile } from './resultsFile';

export type Mapping = Schemas['ResultMapping'];
type Answer = Schemas['ImportAnswer'];

/** A results file: looked at, its columns named, what would come of it shown, then brought in. */
export function ResultsPage() {
  const [file, setFile] = useState<File | undefined>(takeFile);
  const held = usePulled(() => api.GET('/api/results/held'));
  const rows = <HeldRows held={held.data ?? []} onChanged={held.again} />;
  return (
    <PageFrame width="table">
      <p className="text-sm">
        <Link to="/ledger">Ledger</Link>
      </p>
      <h1 className="text-2xl sm:text-3xl">Results from a file</h1>
      <p className="mt-1 max-w-prose text-dim">
        A table saved as CSV, one result a row. Rows are joined to samples by their number; what finds none is listed, never
        dropped. Bringing the same file again changes nothing.
      </p>
      <FileChoice chosen={file} onChoose={setFile} />
      {file ? (
        <Chosen key={idOf(file)} file={file} onKept={held.again}>
          {rows}
        </Chosen>
      ) : (
        rows
      )}
    </PageFrame>
  );
}

/** The file that was chosen; what stands under it is shown once it is brought in. */
function Chosen({ file, onKept, children }: { file: File; onKept(): Promise<void>; children: ReactNode }) {
  const look = useLook(file, ['look'], () =>
    asked(async () => {
      // A file may be chosen before the page knows its session.
      await askSession();
      return api.POST('/api/results/look', rawFile(file));
    }),
  );
  const [own, setOwn] = useState<Mapping>();
  const mapping = own ?? look.data?.mapping ?? {};
  const complete = mapping.number && mapping.value && (mapping.analyte || mapping.wholeAnalyte);
  // What would come of it follows each change of the columns.
  const would = useLook(file, ['would', mapping], look.data && complete ? () => bring(file, mapping, false) : undefined);
  const [kept, setKept] = useState<Asked<Answer>>();
  const [busy, setBusy] = useState(false);
  const answer = kept?.data ?? would.data;

  async function keep() {
    setBusy(true);
    setKept(await bring(file, mapping, true));
    setBusy(false);
    refreshNow();
    await onKept();
  }

  return (
    <>
      <Problem words={kept?.problem || would.problem || look.problem} />
      {look.data && (
        <MappingForm
          look={look.data}
          mapping={mapping}
          onChange={(changed) => {
            setOwn(changed);
            setKept(undefined);
          }}
        />
      )}
      {look.data && !complete && (
        <p className="mt-3 border-buoy border-l-4 pl-3">
          Say at least which columns are number and value, and what was measured.
        </p>
      )}
      {answer && <Outcome answer={answer} busy={busy} onKeep={() => void keep()} />}
      {answer?.kept && children}
    </>
  );
}

function bring(file: File, mapping: Mapping, keep: boolean) {
  return asked(() =>
    api.POST('/api/results/import', {
      params: { query: { mapping: JSON.stringify(mapping), name: file.name, keep } },
      ...rawFile(file),
    }),
  );
}

const REASONS: Record<string, string> = {
  'result-unmatched': 'match no sample, or two',
  'result-twice': 'say something else than the file or the record already does',
  'result-of-rejected': 'are of samples that were lost or rejected',
  'unit-missing': 'have no unit, or one that could be two',
  'value-unreadable': 'have no value that can be read',
  'number-comma': 'have a comma that can be read two ways',
  'analyte-unknown': 'name something that is not known here',
  'sample-number-missing': 'have no sample number',
  'sample-number-check': 'have a number with a wrong character',
  'sample-number-shape': 'have something else for a number',
  'result-negative': 'have a value below nothing',
  'role-missing': 'are of waters that you do not report for',
};

function Outcome({ answer, busy, onKeep }: { answer: Answer; busy: boolean; onKeep(): void }) {
  return (
    <section className="mt-6 panel" aria-label="What comes of it">
      <div role="status">
        <h2 className="text-xl">
          {answer.kept ? 'Brought in: ' : 'This would bring in '}
          {answer.new} new {answer.new === 1 ? 'result' : 'results'} of {answer.samples}{' '}
          {answer.samples === 1 ? 'sample' : 'samples'}
        </h2>
      </div>
      <ul className="mt-1">
        {answer.already > 0 && <li>{answer.already} rows are in the record already</li>}
        {answer.reasons.map(({ code, count }) => (
          <li key={code}>
            <b className="num">{count}</b> {REASONS[code] ?? code}
          </li>
        ))}
      </ul>
      {answer.shown.length > 0 && !answer.kept && (
        <details className="mt-2">
          <summary className="inline-flex min-h-(--target) cursor-pointer items-center underline">
            the rows that would be listed
          </summary>
          <ul className="text-sm">
            {answer.shown.map((row) => (
              <li key={row.id} className="border-rule border-t py-1">
                <span className="num text-dim">line {row.line}</span> {row.why}
                <code className="num block break-all text-dim text-xs">{row.raw}</code>
              </li>
            ))}
          </ul>
        </details>
      )}
      {!answer.kept && (
        <button type="button" className="act act-next mt-3" disabled={busy || answer.rows === 0} onClick={onKeep}>
          {busy ? 'Bringing it in…' : answer.held > 0 ? `Bring them in, list ${answer.held}` : 'Bring them in'}
        </button>
      )}
      {answer.kept && (
        <Link to="/ledger" className="act act-next mt-3">
          To the ledger
        </Link>
      )}
    </section>
  );
}

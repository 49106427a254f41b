import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { addressOf } from '../api/home';
import { rawFile } from '../api/rawFile';
import { usePulled } from '../api/usePulled';
import { refreshNow } from '../field/delivery';
import { askSession, useSession } from '../people/session';
import { FindingNote } from '../ui/FindingNote';
import { Problem } from '../ui/Problem';

/** The record in open form: out as a package, and into an instance that holds nothing yet. */
export function DataPage() {
  const { known } = useSession();
  const { data: waters, problem } = usePulled(() => api.GET('/api/waters'));
  const empty = waters?.length === 0;
  return (
    <>
      <h1 className="text-2xl sm:text-3xl">The record, out and in</h1>
      <p className="mt-1 max-w-prose text-dim">
        A package is a ZIP of tables (CSV) with a descriptor that names every column, unit and checksum. Any spreadsheet opens it,
        and an empty Upper Still becomes the same record from it.
      </p>
      <Problem words={problem} />
      {waters && !empty && (
        <section className="mt-5">
          <h2 className="caps border-ink border-b-[1.5px] pb-1">Save as a package</h2>
          <ul>
            {known?.coordinatesAll && (
              <Row name="Everything" note="all waters, programmes, kit and the whole log">
                /api/export
              </Row>
            )}
            {waters.map(({ water, stations }) => (
              <Row key={water.code} name={water.name} note={stations === 1 ? '1 station' : `${stations} stations`}>
                {`/api/export?water=${encodeURIComponent(water.code)}`}
              </Row>
            ))}
          </ul>
          <p className="mt-2 text-dim text-sm">Photographs and the raw files of meters are in it; people’s accounts are not.</p>
        </section>
      )}
      {waters && !empty && known?.coordinates && (
        <section className="mt-7">
          <h2 className="caps border-ink border-b-[1.5px] pb-1">Bring an old table in</h2>
          <p className="mt-2">
            Years that stand in a spreadsheet become visits of the record, column by column.{' '}
            <Link to="/setup/data/table">Choose the table</Link>
          </p>
        </section>
      )}
      {known?.coordinatesAll && waters && <Bring empty={empty ?? false} />}
    </>
  );
}

function Row({ name, note, children }: { name: string; note: string; children: string }) {
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-6 border-rule border-b py-2">
      <span>
        <b>{name}</b> <span className="text-dim">{note}</span>
      </span>
      <a href={addressOf(children)} download className="act" aria-label={`Save ${name}`}>
        Save
      </a>
    </li>
  );
}

/** Takes a package into an empty instance. */
function Bring({ empty }: { empty: boolean }) {
  const [answer, setAnswer] = useState<Schemas['PackageAnswer']>();
  const [problem, setProblem] = useState('');
  const [working, setWorking] = useState(false);
  async function bring(file: File) {
    setWorking(true);
    await askSession();
    const { data, problem: wrong } = await asked(() =>
      api.POST('/api/import/package', rawFile(file, 'application/octet-stream')),
    );
    setProblem(wrong);
    setAnswer(data);
    if (data?.done) {
      refreshNow();
    }
    setWorking(false);
  }
  return (
    <section className="mt-7">
      <h2 className="caps border-ink border-b-[1.5px] pb-1">Bring a package in</h2>
      {!empty && !answer?.done ? (
        <p className="mt-2 text-dim">This instance holds a record already. A package is read into an empty one.</p>
      ) : (
        <label className="mt-2 block">
          <span className="font-bold text-sm">The package</span>
          <input
            type="file"
            accept=".zip,application/zip"
            className="mt-1 block min-h-(--target)"
            disabled={working || answer?.done}
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) {
                void bring(file);
              }
            }}
          />
        </label>
      )}
      {working && <p className="mt-2">Reading it, and working the record out from the log…</p>}
      {answer?.done && (
        <p className="mt-3 border border-reed bg-sheet p-4 text-reed" role="status">
          ✓ {answer.stations} stations, {answer.visits} visits, {answer.entries} entries are the record of this instance now.
        </p>
      )}
      {answer && !answer.done && (
        <>
          {answer.findings.map((finding) => (
            <FindingNote key={finding.seen} finding={finding} />
          ))}
          <p className="mt-2 text-dim">Nothing was kept.</p>
        </>
      )}
      <Problem words={problem} />
    </section>
  );
}

import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { useBox } from '../field/boxes';
import { nowLocal } from '../field/clock';
import { writeAshore } from '../field/entries';
import { type LabDoor, type LedgerSample, useLedger } from '../field/ledger';
import { useComputed } from '../field/useComputed';
import { byVisit } from '../ledger/byVisit';
import { SampleFindings } from '../ledger/SampleFindings';
import { ChoiceBox } from '../ui/ChoiceBox';
import { FindingNote } from '../ui/FindingNote';
import { PageFrame } from '../ui/PageFrame';
import { TextField } from '../ui/TextField';
import { Worked } from '../ui/Worked';

type Readings = Schemas['MeasuredBody']['readings'];
type Method = Readings['method'];
type Field = Exclude<keyof Readings, 'method' | 'extractMl' | 'pathCm' | 'calibration' | 'dilution'>;

/** Readings of the extracts of a manifest's filters; the chlorophyll is worked out beside them. */
export function MeasurePage() {
  const { id } = useParams({ from: '/ledger/manifest/$id/measure' });
  const { samples, door } = useLedger();
  const filters = (samples ?? []).filter((sample) => sample.manifest === id && sample.measurable);
  return (
    <PageFrame width="table">
      <p className="text-sm">
        <Link to="/ledger/manifest/$id" params={{ id }}>
          The manifest
        </Link>
      </p>
      <h1 className="text-2xl sm:text-3xl">Chlorophyll of {filters.length} filters</h1>
      {samples && filters.length === 0 && (
        <p className="mt-4 border border-rule bg-sheet p-4">
          No filter of this manifest is taken in. Take it in first, on the manifest.
        </p>
      )}
      {filters.length > 0 && door !== undefined && <Measure filters={filters} door={door ?? undefined} />}
    </PageFrame>
  );
}

function Measure({ filters, door }: { filters: LedgerSample[]; door: LabDoor | undefined }) {
  const lab = door?.chlorophyll;
  const [method, setMethod] = useState<Method>(lab?.method ?? 'monochromatic');
  const [extractTyped, setExtract] = useState<string>();
  const [pathTyped, setPath] = useState<string>();
  const [usualExtract, usualPath] = [useBox('measured.extractMl')?.usual, useBox('measured.pathCm')?.usual];
  const extract = extractTyped ?? String(lab?.extractMl ?? usualExtract ?? '');
  const path = pathTyped ?? String(lab?.pathCm ?? usualPath ?? '');
  const [on, setOn] = useState(nowLocal().slice(0, 10));
  const calibrations = lab?.calibrations ?? [];
  const [calibration, setCalibration] = useState(calibrations.length - 1);
  const shared: Readings = {
    method,
    extractMl: extract,
    ...(method === 'fluorometric' ? { calibration: calibrations[calibration] } : { pathCm: path }),
  };
  const measured = filters.filter(({ results }) => results.some(({ final, stands }) => stands && !final));
  return (
    <>
      <div className="grid items-start gap-x-6 sm:grid-cols-2 lg:grid-cols-4">
        <div className="sm:col-span-2">
          <ChoiceBox box="measured.method" value={method} onChoose={setMethod} />
        </div>
        <TextField label="Extract, mL" value={extract} inputMode="decimal" onChange={setExtract} maxLength={8} />
        {method === 'fluorometric' ? (
          <label className="mt-3 block text-sm">
            <span className="block font-bold">Calibration</span>
            <select className="field" value={calibration} onChange={(event) => setCalibration(Number(event.target.value))}>
              {calibrations.length === 0 && <option value={-1}>none is set up</option>}
              {calibrations.map((one, i) => (
                <option key={`${one.instrument} ${one.version}`} value={i}>
                  {one.instrument}, {one.version}, from {one.from}
                </option>
              ))}
            </select>
          </label>
        ) : (
          <TextField label="Light path, cm" value={path} inputMode="decimal" onChange={setPath} maxLength={6} />
        )}
        <TextField label="Day of analysis" type="date" value={on} onChange={setOn} />
      </div>
      <ul className="mt-5 border-ink border-t-[1.5px]">
        {filters.map((filter) => (
          <Extract key={filter.number + method} filter={filter} shared={shared} on={on} />
        ))}
      </ul>
      {measured.length > 0 && (
        <button
          type="button"
          className="act act-next mt-5"
          onClick={() =>
            void writeAshore(
              ...byVisit(measured).map(([visit, numbers]) => ({ visit, kind: 'reported' as const, body: { samples: numbers } })),
            )
          }
        >
          Release {measured.length} {measured.length === 1 ? 'result' : 'results'} to the record
        </button>
      )}
    </>
  );
}

function Extract({ filter, shared, on }: { filter: LedgerSample; shared: Readings; on: string }) {
  const [given, setGiven] = useState<Partial<Record<Field | 'dilution', string>>>({});
  const [again, setAgain] = useState(false);
  const fields = (useBox(`measured.${shared.method}`)?.choices ?? []).map(({ code, words }) => [code as Field, words] as const);
  const whole = fields.length > 0 && fields.every(([field]) => given[field]?.trim());
  const { dilution, ...absorbances } = given;
  const readings: Readings = { ...shared, ...absorbances, ...(dilution?.trim() && { dilution }) };
  const standing = filter.results.filter(({ stands }) => stands);
  const last = standing[0]?.entry;
  const { data: result } = useComputed('chlorophyll', whole ? { readings, filteredMl: filter.volumeMl ?? 0 } : undefined);
  return (
    <li className="border-rule border-b py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <p>
          <Link
            to="/ledger/sample/$number"
            params={{ number: filter.number }}
            className="num break-all font-bold text-ink decoration-1"
          >
            {filter.number}
          </Link>
          {filter.kin === 'replicate' && <b> REP</b>}
          {filter.kin === 'blank' && <b> BLANK</b>}{' '}
          <span className="text-dim text-sm">
            {filter.volumeMl == null ? 'no volume is written down' : `${filter.volumeMl} mL filtered`}
          </span>
        </p>
        {standing.length > 0 && (
          <p className="text-sm">
            {standing.map((one) => (
              <span key={one.analyte} className="ml-4 inline-block">
                {one.name} {one.working ? <Worked working={one.working}>{one.text}</Worked> : <b className="num">{one.text}</b>}
              </span>
            ))}
            {!standing[0]?.final && <span className="text-dim">, not released</span>}
          </p>
        )}
      </div>
      {standing.length > 0 && !again ? (
        <button type="button" className="act-quiet" onClick={() => setAgain(true)}>
          measure again
        </button>
      ) : (
        <form
          className="flex flex-wrap items-end gap-3"
          aria-label={`Readings of ${filter.number}`}
          onSubmit={async (event) => {
            event.preventDefault();
            if (whole) {
              await writeAshore({
                visit: filter.visit,
                kind: 'measured',
                body: { sample: filter.number, readings, ...(on && { on }) },
                ...(last && { strikes: last, why: 'measured again' }),
              });
              setGiven({});
              setAgain(false);
            }
          }}
        >
          {fields.map(([field, words]) => (
            <TextField
              key={field}
              label={words}
              value={given[field] ?? ''}
              inputMode="decimal"
              maxLength={12}
              autoComplete="off"
              onChange={(value) => setGiven({ ...given, [field]: value })}
              className="w-36"
            />
          ))}
          <TextField
            label="diluted, times"
            value={given.dilution ?? ''}
            inputMode="decimal"
            maxLength={6}
            autoComplete="off"
            onChange={(dilution) => setGiven({ ...given, dilution })}
            className="w-36"
          />
          <button type="submit" className="act" disabled={!whole}>
            Keep
          </button>
          {result?.text && (
            <p className="self-center text-lg">
              <Worked working={result.working}>{result.text}</Worked>
              {result.pheophytinUgL != null && (
                <span className="text-dim text-sm"> pheophytin {result.pheophytinUgL.toFixed(2)}</span>
              )}
            </p>
          )}
        </form>
      )}
      {result?.findings.map((finding) => (
        <FindingNote key={finding.code + finding.seen} finding={finding} />
      ))}
      <SampleFindings sample={filter} only={['result']} />
    </li>
  );
}

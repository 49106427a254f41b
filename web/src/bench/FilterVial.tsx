import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { writeAshore } from '../field/entries';
import { Check } from '../ui/Check';
import { NextButton } from '../ui/NextButton';
import { TextField } from '../ui/TextField';
import type { FilterProps } from './FilterPage';
import { lastSpot, rememberSpot } from './spot';

/** The label: what stands on it, read field by field. */
export function FilterLabel({ sample }: FilterProps) {
  const [lacking, setLacking] = useState<string[]>();
  const fields = sample.label ?? [];
  const answer = (missing: string[]) =>
    void writeAshore({
      visit: sample.visit,
      kind: 'labelled',
      body: { samples: [sample.number], ...(missing.length > 0 && { missing }) },
    });
  return (
    <>
      <h2 className="mt-5 text-2xl">The label, along the vial</h2>
      <p className="text-dim">Not wrapped over itself. Pencil or permanent marker.</p>
      <dl className="mt-3 max-w-xl border-[1.5px] border-ink bg-sheet p-3">
        {fields.map(({ name, words, strong }) => (
          <div key={name} className="grid grid-cols-[7.5rem_1fr] gap-x-3 py-0.5">
            <dt className="text-dim">{name}</dt>
            <dd className={strong ? 'font-bold text-lg' : name === 'number' ? 'num break-all' : ''}>{words}</dd>
          </div>
        ))}
      </dl>
      {lacking === undefined ? (
        <>
          <NextButton onClick={() => answer([])}>All of it stands there</NextButton>
          <button type="button" className="act-quiet ml-2" onClick={() => setLacking([])}>
            something cannot be written or read
          </button>
        </>
      ) : (
        <fieldset className="mt-4">
          <legend className="font-bold">What is missing or cannot be read?</legend>
          {fields.map(({ name }) => (
            <Check
              key={name}
              className="border-rule border-b"
              checked={lacking.includes(name)}
              onCheck={(on) => setLacking(on ? [...lacking, name] : lacking.filter((one) => one !== name))}
            >
              {name}
            </Check>
          ))}
          <div className="mt-3 flex flex-wrap gap-2">
            <button type="button" className="act act-next" disabled={lacking.length === 0} onClick={() => answer(lacking)}>
              Go on, marked
            </button>
            <button type="button" className="act" onClick={() => setLacking(undefined)}>
              Nothing is missing
            </button>
          </div>
        </fieldset>
      )}
    </>
  );
}

/** Foil and freezer: both must be confirmed. */
export function FilterStore({ sample }: FilterProps) {
  const [foil, setFoil] = useState(false);
  const [spot, setSpot] = useState(lastSpot);
  const [temperature, setTemperature] = useState('');
  return (
    <>
      <h2 className="mt-5 text-2xl">Foil, then the freezer</h2>
      <label className="mt-3 flex min-h-16 max-w-xl cursor-pointer items-center gap-4 border-[1.5px] border-ink bg-sheet px-4">
        <input
          type="checkbox"
          className="size-7 shrink-0 accent-(--ink)"
          checked={foil}
          onChange={(event) => setFoil(event.target.checked)}
        />
        <span>
          <b>Wholly in foil</b>; water and month on the foil
          <span className="block text-dim text-sm">The lab refuses an unwrapped vial.</span>
        </span>
      </label>
      <div className="grid max-w-xl gap-x-5 sm:grid-cols-2">
        <TextField label="Which box, which place" value={spot} onChange={setSpot} maxLength={40} hint="Such as Box 1, B4." />
        <TextField
          label="The freezer shows, °C"
          value={temperature}
          inputMode="text"
          onChange={setTemperature}
          maxLength={8}
          hint="-20, a household freezer -18; may be left empty."
        />
      </div>
      <NextButton
        disabled={!foil}
        onClick={() => {
          rememberSpot(spot);
          void writeAshore({
            visit: sample.visit,
            kind: 'stored',
            body: {
              samples: [sample.number],
              in: 'freezer',
              foil,
              ...(spot.trim() && { spot: spot.trim() }),
              ...(temperature.trim() && { temperatureC: temperature.trim() }),
            },
          });
        }}
      >
        In the freezer
      </NextButton>
      {!foil && <p className="mt-2 text-dim">Foil first, then it can go in.</p>}
    </>
  );
}

/** What was done, and the next filter. */
export function FilterDone({ sample, run, all }: FilterProps) {
  const next = all.samples.find(({ filter }) => filter && filter.next !== 'done');
  return (
    <>
      <h2 className="mt-5 text-2xl text-reed">✓ {run.totalText} on the filter, in the freezer</h2>
      <p className="mt-1 text-dim">
        {[sample.spot, 'in foil', run.clogged && 'it clogged'].filter(Boolean).join(', ')}. Keep the data sheet dry, in a bag of
        its own.
      </p>
      <div className="mt-5 flex flex-wrap gap-3">
        {next && (
          <Link to="/bench/$visit/$sample" params={{ visit: next.visit, sample: next.number }} className="act act-next">
            Next: {next.number}
            {next.kin === 'replicate' && ' REP'}
          </Link>
        )}
        <Link to="/bench" className={`act ${next ? '' : 'act-next'}`}>
          To the bench
        </Link>
        <Link to="/ledger/sample/$number" params={{ number: sample.number }} className="act">
          See it in the ledger
        </Link>
      </div>
    </>
  );
}

import { useState } from 'react';
import { writeAshore } from '../field/entries';
import { NextButton } from '../ui/NextButton';
import { TextField } from '../ui/TextField';
import type { FilterProps } from './FilterPage';

/** Which disc is in the holder: the translucent separator is taken for the filter again and again. */
export function FilterDisc({ sample, run }: FilterProps) {
  const [wrong, setWrong] = useState(false);
  const [lot, setLot] = useState('');
  const answer = (whiteDisc: boolean) =>
    void writeAshore({
      visit: sample.visit,
      kind: 'filter',
      body: { sample: sample.number, whiteDisc, ...(lot.trim() && { lot: lot.trim() }) },
    });
  return (
    <>
      <h2 className="mt-5 text-2xl">Which disc is in the holder?</h2>
      <p className="text-dim">Tweezers, onto the screen, O-ring on top, closed moderately tight.</p>
      <div className="mt-4 flex flex-wrap items-center gap-6">
        <Disc white />
        <Disc />
      </div>
      {wrong && (
        <p className="mt-4 border-madder border-l-4 bg-sheet p-3" role="alert">
          <b>That is the separator.</b> Algae go straight through it. Take it out with tweezers, put the white, glossy, opaque one
          in.
        </p>
      )}
      <TextField
        label="Lot of the filters, if it stands on the box"
        value={lot}
        onChange={setLot}
        maxLength={40}
        className="max-w-sm"
      />
      <div className="flex flex-wrap items-end gap-x-3">
        <NextButton onClick={() => answer(true)}>The white one is in</NextButton>
        <button type="button" className="act mt-3 w-full sm:w-auto" onClick={() => setWrong(true)}>
          The tinted or tissue-like one
        </button>
        <button type="button" className="act-quiet" onClick={() => answer(false)}>
          cannot tell, go on marked
        </button>
      </div>
      {run.answers.by === 'pump' && <Vacuum sample={sample} />}
    </>
  );
}

function Disc({ white = false }: { white?: boolean }) {
  return (
    <span className="flex items-center gap-2 text-sm">
      <svg viewBox="0 0 48 48" className="size-14" aria-hidden="true">
        <circle
          cx="24"
          cy="24"
          r="21"
          fill={white ? 'var(--sheet)' : 'var(--water0)'}
          stroke="var(--ink)"
          strokeWidth="1.5"
          strokeDasharray={white ? undefined : '3 2'}
        />
        {!white && <path d="M9 30 32 7M14 36 40 12M22 42 42 22" stroke="var(--dim)" strokeWidth="1" />}
      </svg>
      {white ? 'white, glossy, opaque: the filter' : 'tinted or tissue-like: the separator'}
    </span>
  );
}

function Vacuum({ sample }: Pick<FilterProps, 'sample'>) {
  const [vacuum, setVacuum] = useState('');
  const [kept, setKept] = useState(false);
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (vacuum.trim()) {
          setKept(true);
          void writeAshore({ visit: sample.visit, kind: 'filter', body: { sample: sample.number, vacuumKpa: vacuum.trim() } });
        }
      }}
    >
      <TextField
        label="Vacuum of the pump, kPa"
        value={vacuum}
        inputMode="decimal"
        onChange={setVacuum}
        hint="Under 20 kPa: more breaks cells."
      />
      <button type="submit" className="act">
        {kept ? 'Kept' : 'Keep it'}
      </button>
    </form>
  );
}

/** Rinse with the sample once. */
export function FilterRinse({ sample, run }: FilterProps) {
  const answer = (rinsed: boolean) =>
    void writeAshore({ visit: sample.visit, kind: 'filter', body: { sample: sample.number, rinsed } });
  const syringe = run.answers.by !== 'pump';
  return (
    <>
      <h2 className="mt-5 text-2xl">Rinse the {syringe ? 'syringe' : 'funnel'} once with the sample</h2>
      <p className="max-w-prose text-dim">
        {syringe
          ? 'Draw some, shake, empty. Then draw to 60 mL; point up, tap the bubbles out; push to the 50 mL mark. Fit the holder.'
          : 'A little sample round the funnel, and away. Then measure with the cylinder and pour.'}
      </p>
      <NextButton onClick={() => answer(true)}>Rinsed</NextButton>
      <button type="button" className="act-quiet ml-2" onClick={() => answer(false)}>
        not rinsed, go on
      </button>
    </>
  );
}

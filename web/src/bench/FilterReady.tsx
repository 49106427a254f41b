import { useState } from 'react';
import { writeAshore } from '../field/entries';
import { NextButton } from '../ui/NextButton';
import { numberOf } from '../ui/number';
import { TextField } from '../ui/TextField';
import { TypedBox } from '../ui/TypedBox';
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
      {run.answers.by === 'pump' && <PumpFigures sample={sample} />}
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

const PUMP = ['vacuumKpa', 'diameterMm', 'poreUm', 'drops'] as const;

/** What a limnologist notes beside a pump; what is left empty is not asked again. */
function PumpFigures({ sample }: Pick<FilterProps, 'sample'>) {
  const [given, setGiven] = useState<Partial<Record<(typeof PUMP)[number], string>>>({});
  const [kept, setKept] = useState<typeof given>();
  const number = (key: keyof typeof given) => {
    const value = numberOf(given[key]);
    return value !== undefined && value >= 0 ? value : undefined;
  };
  const wrong = PUMP.some((key) => given[key]?.trim() && number(key) === undefined);
  return (
    <form
      className="mt-5 border-rule border-t pt-2"
      onSubmit={async (event) => {
        event.preventDefault();
        const [diameterMm, poreUm, drops] = [number('diameterMm'), number('poreUm'), number('drops')];
        await writeAshore({
          visit: sample.visit,
          kind: 'filter',
          body: {
            sample: sample.number,
            ...(given.vacuumKpa?.trim() && { vacuumKpa: given.vacuumKpa.trim() }),
            ...(diameterMm !== undefined && { diameterMm }),
            ...(poreUm !== undefined && { poreUm }),
            ...(drops !== undefined && { drops: Math.round(drops) }),
          },
        });
        setKept(given);
      }}
    >
      <div className="grid items-start gap-x-5 sm:grid-cols-2">
        {PUMP.map((key) => (
          <TypedBox
            key={key}
            box={`filter.${key}`}
            value={given[key] ?? ''}
            onChange={(written) => setGiven({ ...given, [key]: written })}
          />
        ))}
      </div>
      <button type="submit" className="act mt-3" disabled={kept === given || wrong || !PUMP.some((key) => given[key]?.trim())}>
        {kept === given ? '✓ kept' : 'Keep these'}
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

import { useState } from 'react';
import { writeAshore } from '../field/entries';
import { Choice } from '../ui/Choice';
import { ChoiceBox } from '../ui/ChoiceBox';
import { NextButton } from '../ui/NextButton';
import type { FilterProps } from './FilterPage';

/** Which bottle, and by what. */
export function FilterBegin({ sample, all }: FilterProps) {
  const bottles = all.samples.filter(({ filterable }) => filterable);
  const used = new Set(all.samples.map(({ filter }) => filter?.answers.from));
  const free = bottles.find(
    ({ number, place, replicate }) => !used.has(number) && place === sample.place && replicate === sample.replicate,
  );
  const [from, setFrom] = useState((free ?? bottles.find(({ number }) => !used.has(number)) ?? bottles[0])?.number);
  const [by, setBy] = useState<'syringe' | 'pump'>('syringe');
  if (bottles.length === 0) {
    return (
      <p className="mt-5 border border-rule bg-sheet p-4">
        No bottle of this visit is filled yet. Fill it on the water first; a filter without its bottle has no time of collection.
      </p>
    );
  }
  return (
    <>
      <h2 className="mt-5 text-2xl">Which bottle?</h2>
      <p className="text-dim">Out of direct sun. Swirl it first: algae settle.</p>
      <Choice
        label="Its water comes from"
        value={from}
        options={bottles.map(
          ({ number, kin, state }) =>
            [number, `${number}${kin === 'replicate' ? ' REP' : ''}${state === 'filtered' ? ' (filtered)' : ''}`] as const,
        )}
        onChoose={setFrom}
      />
      <ChoiceBox box="filter.by" value={by} onChoose={setBy} />
      <NextButton
        onClick={() => void writeAshore({ visit: sample.visit, kind: 'filter', body: { sample: sample.number, from, by } })}
      >
        Swirled: begin
      </NextButton>
    </>
  );
}

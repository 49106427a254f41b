import { useState } from 'react';
import type { LengthUnit } from '../api/client';
import { write } from '../field/entries';
import { AskLength } from '../ui/AskLength';
import { NextButton } from '../ui/NextButton';
import { UNITS } from '../ui/units';
import { FindingsBeside } from './findings';
import type { StepProps } from './VisitPage';
import { WrittenMark } from './WrittenMark';

const FINDER_UNITS: LengthUnit[] = ['m', 'ft', 'ft-in'];

export function SoundingStep({ sheet, station, onStep }: StepProps) {
  const [unit, setUnit] = useState<LengthUnit>(station.context.station.knownDepth.unit ?? 'm');
  const closed = sheet.state === 'closed';
  if (sheet.sounding) {
    const stands = sheet.steps.find((step) => step.name === 'sounding')?.state === 'done';
    return (
      <>
        <h2 className="text-2xl">Sounding</h2>
        <div className="mt-3 border-rule border-t">
          <WrittenMark
            visit={sheet.visit}
            entry={sheet.sounding.entry}
            label="Depth of the water"
            text={sheet.sounding.text}
            note={sheet.knownText ? `${sheet.knownText} known` : undefined}
          />
        </div>
        <FindingsBeside sheet={sheet} beside="sounding" />
        {stands && !closed && <NextButton onClick={() => onStep('clarity')}>On to clarity</NextButton>}
      </>
    );
  }
  return (
    <>
      <AskLength
        key={unit}
        question="How deep is it here?"
        hint={`By finder, lead or disc, before any sampler goes down.${sheet.knownText ? ` ${sheet.knownText} is known.` : ''}`}
        unit={unit}
        onGiven={async (written) => {
          await write({ visit: sheet.visit, kind: 'sounding', body: { depth: { written, unit } } });
          onStep('clarity');
        }}
      />
      <fieldset className="mt-4">
        <legend className="caps">The finder shows</legend>
        <div className="mt-1 flex flex-wrap gap-x-5">
          {FINDER_UNITS.map((choice) => (
            <label key={choice} className="flex min-h-(--target) items-center gap-2">
              <input
                type="radio"
                name="finder"
                className="size-5 accent-(--ink)"
                checked={unit === choice}
                onChange={() => setUnit(choice)}
              />
              {UNITS[choice].name}
            </label>
          ))}
        </div>
      </fieldset>
      <FindingsBeside sheet={sheet} beside="sounding" />
    </>
  );
}

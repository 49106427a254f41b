import { useState } from 'react';
import type { LengthUnit, Schemas } from '../api/client';
import { write } from '../field/entries';
import { FromReceiver } from '../instruments/FromReceiver';
import { useInstruments } from '../instruments/useInstrument';
import { AskLength } from '../ui/AskLength';
import { ChoiceBox } from '../ui/ChoiceBox';
import { NextButton } from '../ui/NextButton';
import { UNITS } from '../ui/units';
import { FindingsBeside } from './findings';
import { after, onTo } from './steps';
import type { StepProps } from './VisitPage';
import { WrittenMark } from './WrittenMark';

const FINDER_UNITS: LengthUnit[] = ['m', 'ft', 'ft-in'];

export function SoundingStep({ sheet, station, onStep, onWritten }: StepProps) {
  const [unit, setUnit] = useState<LengthUnit>(station.context.station.knownDepth.unit ?? 'm');
  const [by, setBy] = useState<NonNullable<Schemas['SoundingBody']['by']>>('finder');
  const instruments = useInstruments();
  const [hearing, setHearing] = useState(false);
  const closed = sheet.state === 'closed';
  const to = after(sheet, 'sounding');
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
        {stands && !closed && <NextButton onClick={() => onStep(to)}>{onTo(sheet, to)}</NextButton>}
      </>
    );
  }
  return (
    <>
      {hearing && instruments ? (
        <>
          <h2 className="text-2xl">Sounding</h2>
          <FromReceiver sheet={sheet} station={station} simulated={instruments.simulated}>
            {({ depth }) =>
              depth == null ? (
                <p className="mt-1 text-dim">Waiting for a depth…</p>
              ) : (
                <div className="mt-1 flex flex-wrap items-baseline gap-4">
                  <p className="num font-bold text-3xl">
                    {depth.written} {depth.unit}
                  </p>
                  <button
                    type="button"
                    className="act act-next"
                    onClick={async () => {
                      const from = instruments.simulated ? 'simulated' : 'finder';
                      onWritten(await write({ visit: sheet.visit, kind: 'sounding', body: { depth, by: from } }), to);
                    }}
                  >
                    Write this depth down
                  </button>
                </div>
              )
            }
          </FromReceiver>
          <button type="button" className="act-quiet mt-2" onClick={() => setHearing(false)}>
            type it instead
          </button>
        </>
      ) : (
        <>
          <AskLength
            key={unit}
            question="How deep is it here?"
            hint={`By finder, lead or disc, before any sampler goes down.${sheet.knownText ? ` ${sheet.knownText} is known.` : ''}`}
            unit={unit}
            onGiven={async (written) => {
              onWritten(await write({ visit: sheet.visit, kind: 'sounding', body: { depth: { written, unit }, by } }), to);
            }}
          />
          {instruments?.receiver && (
            <button type="button" className="act mt-3" onClick={() => setHearing(true)}>
              From the boat’s sounder
            </button>
          )}
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
          {sheet.due && <ChoiceBox box="sounding.by" value={by} onChoose={setBy} />}
        </>
      )}
      <FindingsBeside sheet={sheet} beside="sounding" />
    </>
  );
}

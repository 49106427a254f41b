import { NextButton } from '../ui/NextButton';
import { FindingsBeside } from '../water/findings';
import { after, onTo } from '../water/steps';
import type { StepProps } from '../water/VisitPage';
import { PlaceCard } from './PlaceCard';

/** The bottles of one step: at the surface, or at depth. */
export function BottlesStep({ sheet, onStep, step }: StepProps & { step: 'surface' | 'bottles' }) {
  const places = (sheet.bottles?.places ?? []).filter(
    ({ place }) => place !== 'composite' && (place === 'surface') === (step === 'surface'),
  );
  const to = after(sheet, step);
  const done = places.every((place) => place.done || place.needless);
  const next = places.find((place) => !place.done && place.depthM != null);
  return (
    <>
      <h2 className="text-2xl">{step === 'surface' ? 'Surface water' : 'Bottles at depth'}</h2>
      {places.map((place) => (
        <PlaceCard key={place.place} sheet={sheet} place={place} open={place === next} />
      ))}
      <FindingsBeside sheet={sheet} beside="bottles" />
      {sheet.state !== 'closed' && done && sheet.steps.some(({ name, state }) => name === step && state === 'done') && (
        <NextButton onClick={() => onStep(to)}>{onTo(sheet, to)}</NextButton>
      )}
    </>
  );
}

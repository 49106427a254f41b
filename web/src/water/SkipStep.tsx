import { useState } from 'react';
import type { FieldSheet } from '../api/client';
import { write } from '../field/entries';
import { Reason } from '../ui/Reason';
import type { StepName } from './steps';

/** Any step may be left out with a reason, and be taken up again. */
export function SkipStep({ sheet, step }: { sheet: FieldSheet; step: StepName }) {
  const [asking, setAsking] = useState(false);
  const shown = sheet.steps.find(({ name }) => name === step);
  if (!sheet.due || sheet.state === 'closed' || !shown || step === 'arrive' || step === 'leave' || shown.state === 'done') {
    return null;
  }
  if (shown.skip) {
    const strikes = shown.skip;
    return (
      <p className="mt-5 border-rule border-t pt-2">
        {shown.summary[0]?.toUpperCase() + shown.summary.slice(1)}.{' '}
        <button
          type="button"
          className="act-quiet"
          onClick={() => void write({ visit: sheet.visit, kind: 'strike', body: {}, strikes, why: 'done after all' })}
        >
          do it after all
        </button>
      </p>
    );
  }
  return asking ? (
    <Reason
      title="Why is this step not done?"
      suggestions={['weather', 'gear left ashore', 'no time before the lab closes']}
      confirm="Not done"
      onGiven={(why) => {
        setAsking(false);
        void write({ visit: sheet.visit, kind: 'step-skipped', body: { step }, why });
      }}
      onCancel={() => setAsking(false)}
    />
  ) : (
    <p className="mt-5 border-rule border-t pt-1">
      <button type="button" className="act-quiet text-dim" onClick={() => setAsking(true)}>
        Not done, because…
      </button>
    </p>
  );
}

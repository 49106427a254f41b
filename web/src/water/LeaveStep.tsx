import { useState } from 'react';
import { write } from '../field/entries';
import type { StepName } from '../routes';
import { NextButton } from '../ui/NextButton';
import { Reason } from '../ui/Reason';
import { EntryLog } from './EntryLog';
import { FindingsBeside } from './findings';
import { STEP_NAMES } from './Runsheet';
import { TakenAlong } from './TakenAlong';
import type { StepProps } from './VisitPage';

/** The last look round: what is still unfilled cannot be fetched from shore. */
export function LeaveStep({ sheet, station, onStep }: StepProps) {
  const [reopening, setReopening] = useState(false);
  const open = sheet.stopsToEnd;
  const closed = sheet.state === 'closed';
  return (
    <>
      <h2 className="text-2xl">{closed ? 'This visit has ended' : 'Before you leave'}</h2>
      <dl className="mt-3 border-rule border-t">
        {sheet.steps
          .filter((step) => step.name !== 'leave')
          .map((step) => (
            <div key={step.name} className="flex items-baseline gap-4 border-rule border-b py-2">
              <dt className="w-28 shrink-0 font-bold">{STEP_NAMES[step.name as StepName]}</dt>
              <dd className="num min-w-0 flex-1">{step.summary}</dd>
              <dd className={step.state === 'done' ? 'text-reed' : 'text-buoy'}>{step.state === 'done' ? '✓ done' : 'open'}</dd>
            </div>
          ))}
      </dl>
      {!closed && <TakenAlong sheet={sheet} season={station.context.programme.season ?? []} />}
      <FindingsBeside
        sheet={sheet}
        beside="leaving"
        repairs={(finding) => (
          <button
            type="button"
            className="act act-next"
            onClick={() => onStep(finding.code === 'clarity-reading-missing' ? 'clarity' : 'sounding')}
          >
            {finding.code === 'clarity-reading-missing' ? 'Read it now' : 'Fill it now'}
          </button>
        )}
      />
      {!closed && (
        <div>
          <NextButton
            disabled={open > 0}
            onClick={async () => {
              await write({ visit: sheet.visit, kind: 'visit-closed', body: {} });
              onStep(undefined);
            }}
          >
            End the visit
          </NextButton>
          {open > 0 && (
            <p className="mt-2 text-dim">
              {open === 1 ? 'One stop is' : `${open} stops are`} open. Fill it, strike it, or say why it stands; then the visit
              can end.
            </p>
          )}
        </div>
      )}
      {closed && sheet.closedEntry && !reopening && (
        <button type="button" className="act mt-5" onClick={() => setReopening(true)}>
          Open it again…
        </button>
      )}
      {reopening && (
        <Reason
          title="Why is it opened again?"
          suggestions={['ended too early', 'a reading was forgotten']}
          confirm="Open it again"
          onGiven={(why) => {
            setReopening(false);
            void write({ visit: sheet.visit, kind: 'strike', body: {}, strikes: sheet.closedEntry ?? undefined, why }).then(() =>
              onStep(undefined),
            );
          }}
          onCancel={() => setReopening(false)}
        />
      )}
      <div className="mt-6 hidden boat:block">
        <EntryLog sheet={sheet} />
      </div>
    </>
  );
}

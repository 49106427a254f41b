import { useState } from 'react';
import { write } from '../field/entries';
import { Check } from '../ui/Check';
import { NextButton } from '../ui/NextButton';
import { Reason } from '../ui/Reason';
import { EntryLog } from './EntryLog';
import { Findings, FindingsBeside } from './findings';
import { wayTo } from './now/repairs';
import { isOpen } from './now/worst';
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
            <div key={step.name} className="flex flex-wrap items-baseline gap-x-4 border-rule border-b py-2">
              <dt className="w-36 grow font-bold sm:grow-0">{step.title}</dt>
              <dd className="num order-last w-full min-w-0 text-sm sm:order-none sm:w-auto sm:flex-1 sm:text-base">
                {step.summary}
              </dd>
              <dd className={step.state === 'done' ? 'text-reed' : step.state === 'skipped' ? 'text-dim' : 'text-buoy'}>
                {step.state === 'done' ? '✓ done' : step.state === 'skipped' ? 'not done' : 'open'}
              </dd>
            </div>
          ))}
      </dl>
      {!closed && !sheet.due && <TakenAlong sheet={sheet} season={station.context.programme.season ?? []} />}
      {sheet.aboard.length > 0 && <Aboard sheet={sheet} />}
      <FindingsBeside sheet={sheet} beside="leaving" />
      {!closed && (
        <Findings
          sheet={sheet}
          findings={sheet.findings.filter(
            (f) => f.level === 'stop' && isOpen(f) && f.beside !== 'leaving' && f.beside !== 'entry',
          )}
          repairs={wayTo}
        />
      )}
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

/** Gear counted aboard: what lies in the lake is lost to the next visit. */
function Aboard({ sheet }: { sheet: StepProps['sheet'] }) {
  return (
    <fieldset className="mt-4" disabled={sheet.state === 'closed'}>
      <legend className="caps">Back aboard</legend>
      {sheet.aboard.map(({ thing, aboard, entry }) => (
        <Check
          key={thing}
          className="border-rule border-b"
          checked={aboard === true}
          onCheck={() =>
            void write({
              visit: sheet.visit,
              kind: 'aboard',
              body: { thing, aboard: aboard !== true },
              ...(entry && { strikes: entry, why: 'counted again' }),
            })
          }
        >
          {thing}
        </Check>
      ))}
    </fieldset>
  );
}

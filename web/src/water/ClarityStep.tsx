import { useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { useBox } from '../field/boxes';
import { write } from '../field/entries';
import { AskLength } from '../ui/AskLength';
import { DISC_MARKS } from '../ui/discMarks';
import { NextButton } from '../ui/NextButton';
import { Reason } from '../ui/Reason';
import { UNITS } from '../ui/units';
import { Worked } from '../ui/Worked';
import { AsRead } from './AsRead';
import { DiscRemarks } from './DiscRemarks';
import { FindingsBeside } from './findings';
import { HandSum } from './HandSum';
import { useAsked } from './now/here';
import { ASKED_BELOW } from './now/worst';
import { after, onTo } from './steps';
import type { StepProps } from './VisitPage';
import { WrittenMark } from './WrittenMark';

type Box = Schemas['DiscBox'];
type Outcome = NonNullable<Schemas['DiscOutcome']>;

function questionFor(box: Box, swap: boolean): string {
  const question =
    swap && box.event === 'reappeared' ? 'where can you tell black from white again?' : DISC_MARKS[box.event].question;
  return swap && box.observer ? `${box.observer}: ${question}` : question.charAt(0).toUpperCase() + question.slice(1);
}

export function ClarityStep({ sheet, station, onStep }: StepProps) {
  const [more, setMore] = useState(false);
  useAsked('reading', () => {
    setMore(true);
    return true;
  });
  const { boxes, result, outcome, outcomeEntry } = sheet.clarity;
  const swap = station.context.programme.clarity.observers === 'swap';
  const filled = boxes.filter((box) => box.entry);
  const current = outcome
    ? undefined
    : boxes.find((box) => !box.entry && (!box.extra || more || boxes.some((b) => b.entry && b.lowering === box.lowering)));
  const unit = sheet.lineUnit ?? 'm';
  const to = after(sheet, 'clarity');
  // Of two observers none sees the other's number before both are in.
  const hidden = sheet.clarity.blind;
  const done = sheet.steps.find((step) => step.name === 'clarity')?.state === 'done';
  const lowerings = new Set(boxes.filter((b) => !b.extra).map((b) => b.lowering)).size;

  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className={current ? 'caps' : 'text-2xl'}>
          {sheet.clarity.name}
          {current && lowerings > 1 ? `, reading ${current.lowering}` : ''}
          {current?.extra ? ', once more' : ''}
        </h2>
        {sheet.line && !current && (
          <p className="text-dim text-sm">
            Line {sheet.line.code}, {UNITS[unit].name}
          </p>
        )}
      </div>

      {outcome && outcomeEntry && (
        <div className="mt-3 border-rule border-t">
          <WrittenMark visit={sheet.visit} entry={outcomeEntry} label="The disc" text={result.text ?? ''} />
        </div>
      )}

      {current && (
        <AskLength
          key={`${current.lowering} ${current.event}`}
          question={questionFor(current, swap)}
          hint={`Mark at the water’s surface.${sheet.line ? ` Line ${sheet.line.code}, ${UNITS[unit].name}.` : ''}`}
          unit={unit}
          onGiven={(written) =>
            write({
              visit: sheet.visit,
              kind: 'disc-mark',
              body: {
                lowering: current.lowering,
                event: current.event,
                depth: { written, unit },
                observer: current.observer,
                observerId: current.observerId,
              },
            })
          }
        />
      )}
      {filled.length > 0 && !hidden && <Marks sheet={sheet} boxes={filled} swap={swap} />}
      {filled.length > 0 && hidden && (
        <p className="mt-4 border-rule border-y py-2 text-dim">
          {filled.map((box) => box.observer).join(', ')} has read; the number shows when both are in.
        </p>
      )}

      <FindingsBeside sheet={shownOf(sheet)} beside="clarity" />

      {result.clarityM != null && !current && <Figures sheet={sheet} />}
      {result.clarityM != null && !current && <HandSum sheet={sheet} sum="clarity" label="Mean on the sheet" />}

      {!outcome && sheet.state !== 'closed' && filled.length === 0 && (
        <Otherwise visit={sheet.visit} sounded={!!sheet.sounding} />
      )}

      {sheet.due && !current && (filled.length > 0 || outcome) && <DiscRemarks sheet={sheet} gear={station.context.gear ?? []} />}

      {done && sheet.state !== 'closed' && <NextButton onClick={() => onStep(to)}>{onTo(sheet, to)}</NextButton>}
    </>
  );
}

function shownOf(sheet: FieldSheet): FieldSheet {
  return sheet.state === 'closed'
    ? sheet
    : { ...sheet, findings: sheet.findings.filter(({ code }) => !ASKED_BELOW.includes(code)) };
}

function Marks({ sheet, boxes, swap }: { sheet: FieldSheet; boxes: Box[]; swap: boolean }) {
  return (
    <div className="mt-4 border-rule border-t">
      {boxes.map((box) => (
        <WrittenMark
          key={box.entry}
          visit={sheet.visit}
          entry={box.entry ?? ''}
          label={swap && box.observer ? box.observer : DISC_MARKS[box.event].label}
          text={box.text ?? ''}
          note={swap ? `reading ${box.lowering}, told apart again` : box.lowering > 1 ? `reading ${box.lowering}` : undefined}
        />
      ))}
    </div>
  );
}

/** What follows from the marks; each opens to its working. */
function Figures({ sheet }: { sheet: FieldSheet }) {
  const { result } = sheet.clarity;
  const { composite } = sheet;
  const figures = [
    { label: sheet.clarity.name, text: result.text, working: result.working, big: true },
    { label: 'Mean, unrounded', text: result.meanText, working: result.working },
    { label: composite.layerWorking?.title ?? '', text: composite.layerText, working: composite.layerWorking },
    { label: 'Mark for the composite', text: composite.text, working: composite.working },
  ].filter((figure) => figure.text);
  return (
    <>
      <dl className="mt-5 grid grid-cols-2 gap-x-6 gap-y-4 border-rule border-t pt-4">
        {figures.map((figure) => (
          <div key={figure.label}>
            <dt className="caps">{figure.label}</dt>
            <dd>
              <Worked working={figure.working} className={figure.big ? 'font-bold text-3xl' : 'text-2xl'}>
                {figure.text}
              </Worked>
            </dd>
          </div>
        ))}
      </dl>
      {result.asReadText && <AsRead sheet={sheet} />}
      {result.compared && <p className="mt-4 text-dim">{result.compared.text}.</p>}
    </>
  );
}

function Otherwise({ visit, sounded }: { visit: string; sounded: boolean }) {
  const outcomes = useBox('disc-outcome.outcome')?.choices ?? [];
  const [asking, setAsking] = useState(false);
  const give = (outcome: Outcome, why?: string) => void write({ visit, kind: 'disc-outcome', body: { outcome }, why });
  if (asking) {
    return (
      <Reason
        title="Why is it not taken?"
        suggestions={['fog', 'white caps', 'thunder']}
        confirm="Not taken"
        onGiven={(why) => give('not-taken', why)}
        onCancel={() => setAsking(false)}
      />
    );
  }
  return (
    <div className="mt-5 border-rule border-t pt-2">
      <h3 className="caps">No mark to read?</h3>
      <div className="flex flex-wrap gap-x-5">
        {outcomes
          .filter(({ code }) => code !== 'on-bottom' || sounded)
          .map(({ code, words }) => (
            <button key={code} type="button" className="act-quiet" onClick={() => give(code as Outcome)}>
              {words}
            </button>
          ))}
        <button type="button" className="act-quiet" onClick={() => setAsking(true)}>
          Not taken…
        </button>
      </div>
    </div>
  );
}

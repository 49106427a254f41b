import type { FieldSheet, StationRecord } from '../api/client';
import { clockTime, longDay } from '../ui/days';
import { EntryLog } from './EntryLog';
import { StepOrder } from './StepOrder';
import type { StepName } from './steps';

const SIGNS = {
  done: ['✓', 'text-reed', 'done'],
  next: ['▶', 'text-buoy', 'next'],
  'to-do': ['○', 'text-dim', 'to do'],
  skipped: ['–', 'text-dim', 'not done'],
} as const;

/** The steps of the visit, and what each gave. */
export function Runsheet({
  sheet,
  station,
  shown,
  onStep,
}: {
  sheet: FieldSheet;
  station: StationRecord;
  shown: StepName | undefined;
  onStep: (step: StepName) => void;
}) {
  const { context } = station;
  return (
    <div className="border-rule border-r py-5 print:hidden">
      <div className="px-4">
        <h1 className="text-xl">
          {context.station.water}, {context.station.name}
        </h1>
        <p className="mt-1 text-dim text-sm">
          {sheet.startedAt && `${longDay(sheet.startedAt)}, ${clockTime(sheet.startedAt)}`}
          <br />
          {sheet.observers.join(' and ')}
          {sheet.line && ` · line ${sheet.line.code}`}
        </p>
      </div>
      <Steps sheet={sheet} shown={shown} onStep={onStep} />
      <StepOrder sheet={sheet} />
      <Reminders sheet={sheet} />
      <div className="mt-4 px-4">
        <EntryLog sheet={sheet} who={sheet.state === 'closed'} />
      </div>
    </div>
  );
}

/** Every step, what it gave or waits for; a touch goes there. */
export function Steps({
  sheet,
  shown,
  onStep,
}: {
  sheet: FieldSheet;
  shown: StepName | undefined;
  onStep: (step: StepName) => void;
}) {
  return (
    <ol className="mt-4">
      {sheet.steps.map((step) => {
        const [sign, colour, word] = SIGNS[step.state];
        return (
          <li key={step.name}>
            <button
              type="button"
              onClick={() => onStep(step.name as StepName)}
              aria-current={step.name === shown ? 'step' : undefined}
              className="flex w-full gap-3 border-transparent border-l-[5px] px-4 py-3 text-left aria-[current=step]:border-buoy aria-[current=step]:bg-paper2"
            >
              <span className={`mt-0.5 w-4 ${colour}`} aria-hidden="true">
                {sign}
              </span>
              <span className="min-w-0">
                <span className="sr-only">{word}: </span>
                <b>{step.title}</b>
                <span className="num block text-dim text-sm">{step.summary}</span>
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}

/** What the hands need to know at any step. */
function Reminders({ sheet }: { sheet: FieldSheet }) {
  const words = sheet.remarks.shade;
  return words && sheet.due && sheet.state !== 'closed' ? (
    <section className="mx-4 mt-4 border border-rule bg-sheet p-3 text-sm" aria-label="Keep in mind">
      <h2 className="caps">Keep in mind</h2>
      <p className="mt-1">{words}</p>
    </section>
  ) : null;
}

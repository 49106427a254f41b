import { Link, useNavigate, useParams, useSearch } from '@tanstack/react-router';
import type { FieldSheet, StationRecord } from '../api/client';
import { Column } from '../column/Column';
import { useVisit } from '../field/visits';
import type { StepName } from '../routes';
import { useAppearance, useDensity } from '../ui/appearance';
import { FindingNote } from '../ui/FindingNote';
import { ClarityStep } from './ClarityStep';
import { CompositeStep } from './CompositeStep';
import { EndedVisit } from './EndedVisit';
import { LeaveStep } from './LeaveStep';
import { Runsheet, STEP_NAMES } from './Runsheet';
import { SoundingStep } from './SoundingStep';

export interface StepProps {
  sheet: FieldSheet;
  station: StationRecord;
  onStep: (step: StepName | undefined) => void;
}

export function VisitPage() {
  const { visit } = useParams({ from: '/visit/$visit' });
  const { step } = useSearch({ from: '/visit/$visit' });
  const navigate = useNavigate();
  const { reader } = useAppearance();
  const boat = useDensity() === 'boat';
  const { sheet, station, error } = useVisit(visit, reader);
  const onStep = (to: StepName | undefined) =>
    void navigate({ to: '/visit/$visit', params: { visit }, search: to ? { step: to } : {} });

  if (sheet === null) {
    return (
      <div className="p-6">
        <h1 className="text-2xl">This visit is not on this device</h1>
        <p className="mt-2">
          It was made on another one and there is no signal to fetch it. <Link to="/">To the stations</Link>
        </p>
      </div>
    );
  }
  if (!sheet || !station) {
    return error ? <Failed error={error} /> : <p className="p-6 text-dim">Opening the visit…</p>;
  }

  const next = sheet.steps.find((s) => s.state === 'next')?.name as StepName | undefined;
  const shown = step ?? next ?? 'leave';
  const ended = sheet.state === 'closed' && !step;
  const props: StepProps = { sheet, station, onStep };
  const content = (
    <>
      {error && <Failed error={error} />}
      {sheet.findings
        .filter((f) => f.beside === 'header' && !ended)
        .map((f) => (
          <FindingNote key={f.code} finding={f} />
        ))}
      {ended ? (
        <EndedVisit {...props} />
      ) : shown === 'sounding' ? (
        <SoundingStep {...props} />
      ) : shown === 'clarity' ? (
        <ClarityStep {...props} />
      ) : shown === 'composite' ? (
        <CompositeStep {...props} />
      ) : (
        <LeaveStep {...props} />
      )}
    </>
  );

  if (boat) {
    return (
      <div className="flex min-h-0 flex-1 flex-col">
        <div className="flex min-h-0 flex-1">
          <aside
            className="sticky top-0 h-[calc(100dvh-8.5rem)] w-[5.25rem] shrink-0 border-rule border-r"
            aria-label="Water column"
          >
            <Column sheet={sheet} strip onStep={onStep} />
          </aside>
          <section className="min-w-0 flex-1 px-4 pt-3 pb-24">
            <h1 className="caps">
              {station.context.station.water}, {station.context.station.name}
            </h1>
            {content}
          </section>
        </div>
        <StepBar sheet={sheet} shown={shown} onStep={onStep} />
      </div>
    );
  }
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[16rem_minmax(0,1fr)] xl:grid-cols-[16.5rem_minmax(0,1fr)_26rem] lg:grid-cols-[15rem_minmax(0,1fr)_22rem]">
      <Runsheet sheet={sheet} station={station} shown={ended ? undefined : shown} onStep={onStep} />
      <section className="min-w-0 px-7 py-6">{content}</section>
      <aside className="sticky top-0 h-[calc(100dvh-3.25rem)] border-rule border-l p-3 max-lg:hidden" aria-label="Water column">
        <Column sheet={sheet} strip={false} onStep={onStep} />
      </aside>
    </div>
  );
}

function Failed({ error }: { error: string }) {
  return (
    <p className="m-4 border border-madder bg-sheet p-4" role="alert">
      <b>This could not be worked out on this device.</b> {error} What was written is kept.
    </p>
  );
}

function StepBar({ sheet, shown, onStep }: { sheet: FieldSheet; shown: StepName; onStep: (step: StepName) => void }) {
  return (
    <nav
      className="print:hidden fixed inset-x-0 bottom-0 z-10 grid grid-cols-4 border-ink border-t-2 bg-paper"
      aria-label="Steps of the visit"
    >
      {sheet.steps.map((step) => (
        <button
          key={step.name}
          type="button"
          onClick={() => onStep(step.name as StepName)}
          aria-current={step.name === shown ? 'step' : undefined}
          className="flex min-h-16 flex-col items-center justify-center text-sm aria-[current=step]:bg-paper2 aria-[current=step]:font-bold"
        >
          <StepSign state={step.state} />
          {STEP_NAMES[step.name as StepName]}
        </button>
      ))}
    </nav>
  );
}

function StepSign({ state }: { state: 'done' | 'next' | 'to-do' }) {
  return (
    <span className={state === 'done' ? 'text-reed' : state === 'next' ? 'text-buoy' : 'text-dim'} aria-hidden="true">
      {state === 'done' ? '✓' : state === 'next' ? '▶' : '○'}
    </span>
  );
}

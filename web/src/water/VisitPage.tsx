import { Link, useNavigate, useParams, useSearch } from '@tanstack/react-router';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import type { FieldSheet, StationRecord } from '../api/client';
import { Column } from '../column/Column';
import { PracticeMark } from '../compose/PracticeMark';
import { AnyTime } from '../described/AnyTime';
import { ProtocolStep } from '../described/ProtocolStep';
import { useVisit } from '../field/visits';
import { useAppearance, useDensity } from '../ui/appearance';
import { ArriveStep } from './ArriveStep';
import { ClarityStep } from './ClarityStep';
import { CompositeStep } from './CompositeStep';
import { EndedVisit } from './EndedVisit';
import { Findings } from './findings';
import { LeaveStep } from './LeaveStep';
import { HereProvider } from './now/here';
import { NowBar } from './now/NowBar';
import { openOn } from './now/worst';
import { Runsheet, Steps } from './Runsheet';
import { SkipStep } from './SkipStep';
import { SoundingStep } from './SoundingStep';
import { StepGuide } from './StepGuide';
import { StepOrder } from './StepOrder';
import type { StepName } from './steps';
import { stepName } from './steps';

// Not before the first screen stands, but before a hand asks for them.
const profile = () => import('../profile/ProfileStep');
const bottles = () => import('../bottles/BottlesStep');
const ProfileStep = lazy(() => profile().then((m) => ({ default: m.ProfileStep })));
const BottlesStep = lazy(() => bottles().then((m) => ({ default: m.BottlesStep })));

export interface StepProps {
  sheet: FieldSheet;
  station: StationRecord;
  onStep: (step: StepName | undefined) => void;
  /** Goes on once these entries stand and nothing about them is open; else the page stays, and says what. */
  onWritten: (entries: string[], to: StepName) => void;
}

export function VisitPage() {
  const { visit } = useParams({ from: '/visit/$visit' });
  const { step } = useSearch({ from: '/visit/$visit' });
  const navigate = useNavigate();
  const { reader } = useAppearance();
  const boat = useDensity() === 'boat';
  const { sheet, station, error, practice } = useVisit(visit, reader);
  const onStep = (to: StepName | undefined) =>
    void navigate({ to: '/visit/$visit', params: { visit }, search: to ? { step: to } : {} });
  useEffect(() => {
    void Promise.allSettled([profile(), bottles()]);
  }, []);
  // A step goes on once what was typed is kept; who has gone elsewhere meanwhile is left there.
  const here = useRef<StepName>(undefined);
  useEffect(
    () => () => {
      here.current = undefined;
    },
    [],
  );

  // What was written, and where to go from there; waits until the sheet has it.
  const [going, setGoing] = useState<{ entries: string[]; from: StepName; to: StepName }>();
  useEffect(() => {
    if (!going || !sheet || !going.entries.every((id) => sheet.entries.some((entry) => entry.id === id))) {
      return;
    }
    setGoing(undefined);
    if (here.current === going.from && !going.entries.some((id) => openOn(sheet.findings, id))) {
      onStep(going.to);
    }
  });

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
  here.current = shown;
  const props: StepProps = {
    sheet,
    station,
    onStep: (to) => here.current === shown && onStep(to),
    onWritten: (entries, to) => setGoing({ entries, from: shown, to }),
  };
  const withBar = sheet.state !== 'closed' && shown !== 'leave';
  const head = sheet.findings.filter(
    (f) => f.beside === 'header' && !ended && shown !== 'arrive' && (f.level === 'stop' || !sheet.due) && f.kept == null,
  );
  const content = (
    <>
      {error && <Failed error={error} />}
      <Suspense fallback={<p className="text-dim">Opening…</p>}>
        {ended ? <EndedVisit {...props} /> : <StepContent {...props} step={shown} />}
        <Findings sheet={sheet} findings={head} />
        {!ended && <SkipStep key={shown} sheet={sheet} step={shown} />}
        {sheet.state !== 'closed' && <AnyTime sheet={sheet} shown={shown} onStep={onStep} />}
      </Suspense>
    </>
  );

  // A record that was fetched before profiles were in it has none.
  const earlier = (station.profiles ?? []).filter((profile) => profile.visit !== sheet.visit);
  if (boat) {
    return (
      <HereProvider sheet={sheet} step={withBar ? shown : undefined} onStep={onStep}>
        <div className="flex min-h-0 flex-1">
          {sheet.byDepth && (
            <aside
              className={`sticky top-0 w-[5.25rem] shrink-0 border-rule border-r ${withBar ? 'h-[calc(100dvh-14.5rem)]' : 'h-[calc(100dvh-8.5rem)]'}`}
              aria-label="Water column"
            >
              <Column sheet={sheet} earlier={earlier} strip onStep={onStep} />
            </aside>
          )}
          <section className={`min-w-0 flex-1 px-4 pt-3 ${withBar ? 'pb-44' : 'pb-24'}`}>
            {practice && <PracticeMark />}
            <div className="flex items-start justify-between gap-3">
              <h1 className="caps min-w-0">
                {station.context.station.water}, {station.context.station.name}
              </h1>
              {!ended && <StepGuide sheet={sheet} step={shown} station={station} />}
            </div>
            {content}
          </section>
        </div>
        {withBar && <NowBar />}
        <StepBar sheet={sheet} shown={shown} onStep={onStep} />
      </HereProvider>
    );
  }
  return (
    <HereProvider sheet={sheet} step={withBar ? shown : undefined} onStep={onStep}>
      <div
        className={`grid min-h-0 flex-1 grid-cols-[16rem_minmax(0,1fr)] print:block ${sheet.byDepth ? 'lg:grid-cols-[15rem_minmax(0,1fr)_22rem] xl:grid-cols-[16.5rem_minmax(0,1fr)_26rem]' : ''}`}
      >
        <Runsheet sheet={sheet} station={station} shown={ended ? undefined : shown} onStep={onStep} />
        <section className={`flex min-w-0 flex-col px-7 pt-6 ${sheet.byDepth ? '' : 'max-w-3xl'}`}>
          <div className="flex-1 pb-6">
            {practice && <PracticeMark />}
            {!ended && (
              <div className="float-right ml-4 print:hidden">
                <StepGuide sheet={sheet} step={shown} station={station} />
              </div>
            )}
            {content}
          </div>
          {withBar && <NowBar />}
        </section>
        {sheet.byDepth && (
          <aside
            className="sticky top-0 h-[calc(100dvh-3.25rem)] border-rule border-l p-3 max-lg:hidden print:hidden"
            aria-label="Water column"
          >
            <Column sheet={sheet} earlier={earlier} strip={false} onStep={onStep} />
          </aside>
        )}
      </div>
    </HereProvider>
  );
}

function StepContent({ step, ...props }: StepProps & { step: StepName }) {
  switch (step) {
    case 'arrive':
      return <ArriveStep {...props} />;
    case 'sounding':
      return <SoundingStep {...props} />;
    case 'surface':
    case 'bottles':
      return <BottlesStep {...props} step={step} />;
    case 'clarity':
      return <ClarityStep {...props} />;
    case 'profile':
      return <ProfileStep {...props} />;
    case 'composite':
      return <CompositeStep {...props} />;
    case 'leave':
      return <LeaveStep {...props} />;
    default:
      return <ProtocolStep {...props} protocol={step} />;
  }
}

function Failed({ error }: { error: string }) {
  return (
    <p className="m-4 border border-madder bg-sheet p-4" role="alert">
      <b>This could not be worked out on this device.</b> {error} What was written is kept.
    </p>
  );
}

/** Back, where we are, what is left, and on: within reach of a thumb. */
function StepBar({ sheet, shown, onStep }: { sheet: FieldSheet; shown: StepName; onStep: (step: StepName) => void }) {
  const [open, setOpen] = useState(false);
  const names = sheet.steps.map(({ name }) => name as StepName);
  const place = names.indexOf(shown);
  const [before, next] = [names[place - 1], names[place + 1]];
  const left = sheet.steps.filter(({ state, name }) => (state === 'to-do' || state === 'next') && name !== 'leave').length;
  const cell = 'flex min-h-16 min-w-0 flex-col items-center justify-center px-1 text-sm leading-tight disabled:text-dim';
  return (
    <>
      {open && (
        <div className="print:hidden fixed inset-x-0 bottom-16 z-10 max-h-[70dvh] overflow-auto border-ink border-t-2 bg-paper">
          <Steps
            sheet={sheet}
            shown={shown}
            onStep={(step) => {
              setOpen(false);
              onStep(step);
            }}
          />
          <StepOrder sheet={sheet} />
        </div>
      )}
      <nav
        className="print:hidden fixed inset-x-0 bottom-0 z-10 grid grid-cols-[1fr_1.2fr_1fr_1fr] border-ink border-t-2 bg-paper"
        aria-label="Steps of the visit"
      >
        <button type="button" className={cell} disabled={!before} onClick={() => before && onStep(before)}>
          <span aria-hidden="true">◁</span>
          {before ? stepName(sheet, before) : ''}
          <span className="sr-only">, the step before</span>
        </button>
        <span className={`${cell} font-bold text-buoy`} aria-current="step">
          {stepName(sheet, shown)}
          <span className="num font-normal text-dim">
            {place + 1} of {names.length}
          </span>
        </span>
        <button type="button" className={cell} aria-expanded={open} onClick={() => setOpen(!open)}>
          What’s left
          <span className="num text-dim">{left}</span>
        </button>
        <button type="button" className={cell} disabled={!next} onClick={() => next && onStep(next)}>
          <span aria-hidden="true">▷</span>
          {next ? stepName(sheet, next) : ''}
          <span className="sr-only">, the next step</span>
        </button>
      </nav>
    </>
  );
}

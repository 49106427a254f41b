import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import type { Schemas } from '../api/client';
import { useBox } from '../field/boxes';
import { writeAshore } from '../field/entries';
import { readSetting, store } from '../field/store';
import { useComputed } from '../field/useComputed';
import { FindingNote } from '../ui/FindingNote';
import { Worked } from '../ui/Worked';
import { WrittenMark } from '../water/WrittenMark';
import { AskAmount } from './AskAmount';
import type { FilterProps } from './FilterPage';

type Asking = 'left' | 'through' | 'start' | undefined;

/** Fill by fill, with the running total; what clogged is stopped at what went through. */
export function FilterFills({ sample, run, all }: FilterProps) {
  const [clogged, setClogged] = useState(false);
  const [asking, setAsking] = useState<Asking>();
  const [start, setStart] = useState(String(run.startMl));
  const timer = useTimer();
  const syringe = run.answers.by !== 'pump';
  const advice = useAdvice(sample, run, all);
  const enough = advice?.enough ?? false;

  async function fill(body: Omit<Schemas['FilterFillBody'], 'sample'>) {
    const seconds = timer.stop();
    await writeAshore({
      visit: sample.visit,
      kind: 'filter-fill',
      body: { sample: sample.number, ...body, ...(seconds !== undefined && { seconds }), ...(clogged && { clogged }) },
    });
    setAsking(undefined);
    setClogged(false);
    setStart(String(run.startMl));
  }

  return (
    <>
      <div className="mt-4 flex flex-wrap items-end justify-between gap-x-6">
        <div>
          <h2 className="text-dim text-sm">Through the filter so far</h2>
          <p className="num font-bold text-5xl leading-tight" role="status">
            {run.totalMl}
            <span className="ml-2 font-sans text-2xl">mL</span>
          </p>
        </div>
        {advice && asking === undefined && (
          <div className="max-w-xs text-sm">
            <Worked working={advice.working} className="font-sans">
              {advice.text}
            </Worked>
            {advice.finding && <FindingNote finding={advice.finding} />}
          </div>
        )}
      </div>
      {run.fills.length > 0 && asking === undefined && (
        <div className="mt-2 border-rule border-t">
          {run.fills.map((one, i) => (
            <WrittenMark
              key={one.entry}
              visit={sample.visit}
              entry={one.entry}
              label={`Fill ${i + 1}`}
              text={one.throughMl == null ? '?' : `${one.throughMl} mL`}
              note={one.text}
              ashore
            />
          ))}
        </div>
      )}
      {!clogged && asking === undefined && (
        <>
          {syringe && <p className="mt-4 text-dim">{run.pace}</p>}
          <div className="mt-3 grid grid-cols-2 gap-2.5 sm:flex sm:flex-wrap">
            {syringe && (
              <button
                type="button"
                className={`act text-lg max-sm:col-span-2 ${enough ? '' : 'act-next'}`}
                onClick={() => void fill({ startMl: String(run.startMl), leftMl: '0' })}
              >
                {run.startMl} mL through
              </button>
            )}
            {!syringe && (
              <button
                type="button"
                className={`act text-lg max-sm:col-span-2 ${enough ? '' : 'act-next'}`}
                onClick={() => setAsking('through')}
              >
                A measure poured through…
              </button>
            )}
            <button type="button" className="act text-lg max-sm:col-span-2" onClick={() => setClogged(true)}>
              It clogged…
            </button>
            {syringe && (
              <button type="button" className="act" onClick={() => setAsking('start')}>
                Another amount…
              </button>
            )}
            <button type="button" className="act" onClick={timer.toggle} aria-pressed={timer.running}>
              {timer.running ? (
                <>
                  <span className="num">{timer.seconds} s</span> · stop
                </>
              ) : timer.seconds === undefined ? (
                'Time this fill'
              ) : (
                <>
                  <span className="num">{timer.seconds} s</span> · again
                </>
              )}
            </button>
          </div>
          <Trouble sample={sample} run={run} />
          {run.totalMl > 0 && (
            <div className="mt-6 border-rule border-t pt-4">
              <p className="text-dim">
                Open; fold the filter in quarters with the colour inside, with pin and tweezers; into the vial; cap. Easier for
                two.
              </p>
              <FoldButtons sample={sample} primary={enough} />
            </div>
          )}
        </>
      )}
      {clogged && asking === undefined && (
        <section className="mt-4 panel" aria-label="It clogged">
          <h3 className="text-xl">Stop pushing. Which number can you read?</h3>
          <p className="mt-1 max-w-prose text-dim">
            {syringe
              ? 'The syringe shows what is left, not what went through.'
              : 'The cylinder shows what you poured; the funnel what is left.'}
          </p>
          <div className="mt-3 grid gap-2.5 sm:flex">
            <button type="button" className="act act-next" onClick={() => setAsking(Number(start) > 0 ? 'left' : 'start')}>
              What is left
            </button>
            <button type="button" className="act" onClick={() => setAsking('through')}>
              What went through
            </button>
            <button type="button" className="act-quiet" onClick={() => setClogged(false)}>
              it did not clog
            </button>
          </div>
        </section>
      )}
      {asking === 'start' && (
        <AskAmount
          key="start"
          question={syringe ? 'Where did this fill begin?' : 'How much was poured in?'}
          unit="mL"
          submit="Next: what is left"
          onGiven={(written) => {
            setStart(written);
            setAsking('left');
          }}
          onCancel={() => setAsking(undefined)}
        />
      )}
      {asking === 'left' && (
        <AskAmount
          key="left"
          question={syringe ? 'What does the syringe still hold?' : 'What is left in the funnel?'}
          hint={`It began at ${start} mL: filtered is ${start} less what is left.`}
          unit="mL left"
          onGiven={(written) => void fill({ startMl: start, leftMl: written })}
          onCancel={() => setAsking(undefined)}
        />
      )}
      {asking === 'through' && (
        <AskAmount
          key="through"
          question="What went through?"
          unit="mL through"
          onGiven={(written) => void fill({ throughMl: written })}
          onCancel={() => setAsking(undefined)}
        />
      )}
    </>
  );
}

function FoldButtons({ sample, primary }: Pick<FilterProps, 'sample'> & { primary: boolean }) {
  const fold = (tinted: boolean) =>
    void writeAshore({ visit: sample.visit, kind: 'filter', body: { sample: sample.number, folded: true, tinted } });
  return (
    <div className="mt-3 grid gap-2.5 sm:flex sm:flex-wrap">
      <button type="button" className={`act text-lg ${primary ? 'act-next' : ''}`} onClick={() => fold(true)}>
        Folded, in the vial
      </button>
      <button type="button" className="act" onClick={() => fold(false)}>
        In the vial, but hardly tinted
      </button>
    </div>
  );
}

type TroubleKey = 'torn' | 'leaked' | 'fingers' | 'dropped';

/** What goes wrong with filters: one touch each, a second touch takes it back. */
function Trouble({ sample, run }: Pick<FilterProps, 'sample' | 'run'>) {
  const [light, setLight] = useState(false);
  const trouble = (useBox('filter.trouble')?.choices ?? []).map(({ code, words }) => ({ code: code as TroubleKey, words }));
  const answer = (body: Partial<Schemas['FilterBody']>) =>
    void writeAshore({ visit: sample.visit, kind: 'filter', body: { sample: sample.number, ...body } });
  return (
    <fieldset className="mt-5">
      <legend className="font-bold text-sm">Trouble with the filter?</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {trouble.map(({ code: key, words }) => (
          <button
            key={key}
            type="button"
            aria-pressed={run.answers[key] === true}
            className={`min-h-(--target) rounded-md border-[1.5px] px-3 ${run.answers[key] ? 'border-madder bg-madder font-bold text-sheet' : 'border-dim bg-sheet'}`}
            onClick={() => answer({ [key]: run.answers[key] !== true })}
          >
            {words}
          </button>
        ))}
        <button
          type="button"
          className="min-h-(--target) rounded-md border-[1.5px] border-dim bg-sheet px-3"
          onClick={() => setLight(!light)}
        >
          {run.answers.lightMin ? `${run.answers.lightMin} min in light` : 'in direct light…'}
        </button>
      </div>
      {light && (
        <AskAmount
          question="How long in direct light?"
          unit="min"
          onGiven={(lightMin) => {
            setLight(false);
            answer({ lightMin });
          }}
          onCancel={() => setLight(false)}
        />
      )}
    </fieldset>
  );
}

/** How much is worth filtering here, from today's clarity or what is usual, and the laboratory's limit. */
function useAdvice({ station: code, day }: FilterProps['sample'], run: FilterProps['run'], all: FilterProps['all']) {
  const door = useLiveQuery(() => readSetting<Schemas['LabDoor'] | null>('laboratory-door', null), []);
  const station = useLiveQuery(() => store.stations.get(code), [code]);
  const before = (station?.record.values ?? []).filter(({ analyte }) => analyte === 'chlorophyll-a');
  return useComputed('filter-volume', {
    clarityM: all.clarityM ?? null,
    day,
    before: before.map((value) => ({ day: value.day, ugL: value.value, below: value.below })),
    lab: door?.chlorophyll,
    throughMl: run.totalMl,
    clogged: run.clogged,
  }).data;
}

/** Seconds of a fill, started and stopped by hand. */
function useTimer() {
  const [seconds, setSeconds] = useState<number>();
  const [running, setRunning] = useState(false);
  const began = useRef(0);
  useEffect(() => {
    if (!running) {
      return;
    }
    const timer = setInterval(() => setSeconds(Math.round((performance.now() - began.current) / 1000)), 250);
    return () => clearInterval(timer);
  }, [running]);
  return {
    seconds,
    running,
    toggle() {
      if (!running) {
        began.current = performance.now();
        setSeconds(0);
      }
      setRunning(!running);
    },
    /** Ends the timing of this fill; undefined where it was not timed. */
    stop(): number | undefined {
      const timed = running ? Math.round((performance.now() - began.current) / 1000) : seconds;
      setRunning(false);
      setSeconds(undefined);
      return timed;
    },
  };
}

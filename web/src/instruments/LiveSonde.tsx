import { useEffect, useRef, useState } from 'react';
import type { FieldSheet, Schemas, StationRecord } from '../api/client';
import { compute } from '../field/core';
import type { LevelToRead, Profile } from '../profile/columns';
import { Check } from '../ui/Check';
import { Simulated } from './Simulated';
import { SondePanel } from './SondePanel';
import { Trace } from './Trace';
import { type TimedReading, useInstrument } from './useInstrument';

interface Props {
  sheet: FieldSheet;
  station: StationRecord;
  profile: Profile;
  target: LevelToRead | null | undefined;
  simulated: boolean;
  onWrite: (body: Schemas['LevelBody']) => Promise<void>;
  onEnd: () => void;
}

/** The sonde's numbers as they come, whether they hold still, and the level written down as soon as they do. */
export function LiveSonde({ sheet, station, profile, target, simulated, onWrite, onEnd }: Props) {
  const live = useInstrument('sonde', sheet, station, simulated);
  const [itself, setItself] = useState(true);
  const [answer, setAnswer] = useState<{ of: LevelToRead | null | undefined; settling: Schemas['SettlingResult'] }>();
  const writing = useRef(false);
  const last = live.readings.at(-1);
  const unit = last?.oxygen?.unit ?? profile.oxygenUnit;
  const limits = station.context.programme.limits;

  useEffect(() => {
    let over = false;
    void compute('settling', {
      readings: live.readings.map(({ seconds, depthM, temperature, oxygen }) => ({ seconds, depthM, temperature, oxygen })),
      unit,
      ...(limits && { limits }),
      ...(target && { targetM: target.depthM }),
    }).then((settling) => !over && setAnswer({ of: target, settling }));
    return () => {
      over = true;
    };
  }, [live.readings, unit, limits, target]);

  // An answer for the level before says nothing of the next.
  const settling = answer && answer.of?.depthM === target?.depthM ? answer.settling : undefined;

  async function take({ depth, temperature, oxygen, conductivity, ph, salinity }: TimedReading, settled: boolean) {
    if (writing.current) {
      return;
    }
    writing.current = true;
    try {
      await onWrite({
        depth,
        // Where the sonde names no unit it is what the display is believed to show.
        ...(temperature && { temperature: { ...temperature, unit: temperature.unit ?? profile.temperatureUnit } }),
        ...(oxygen && { oxygen: { ...oxygen, unit } }),
        ...(conductivity && { conductivity }),
        ...(ph && { ph }),
        ...(salinity && { salinity }),
        settled,
        from: simulated ? 'simulated' : 'sonde',
      });
    } finally {
      writing.current = false;
    }
  }

  const ready = settling?.settled === true && settling.atTarget === true && target != null && last !== undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each level that settles
  useEffect(() => {
    if (ready && itself && last) {
      void take(last, true);
    }
  }, [ready, itself, target?.depthM]);

  return (
    <section aria-label="Live from the sonde" className="mt-3 border-[1.5px] border-slate bg-sheet p-3.5">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="caps">
          Live from the sonde
          {simulated && <Simulated />}
        </h2>
        <button type="button" className="act-quiet" onClick={onEnd}>
          type instead
        </button>
      </div>
      {last ? (
        <dl className="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3">
          <Shown label="Depth" text={last.depth.written} unit={last.depth.unit ?? 'm'} whole />
          <Shown label="Temperature" text={last.temperature?.written} unit={last.temperature?.unit ?? profile.temperatureUnit}>
            <Trace
              label="Temperature of the last minute"
              unit={last.temperature?.unit ?? profile.temperatureUnit}
              readings={live.readings}
              of={(r) => r.temperature?.written}
            />
          </Shown>
          <Shown label="Oxygen" text={last.oxygen?.written} unit={unit}>
            <Trace label="Oxygen of the last minute" unit={unit} readings={live.readings} of={(r) => r.oxygen?.written} />
          </Shown>
        </dl>
      ) : (
        !live.problem && <p className="mt-1 text-dim">Waiting for its first line…</p>
      )}
      {settling && last && (
        <p className="mt-2" role="status">
          <b className={settling.settled ? 'text-reed' : ''}>
            {settling.settled && '✓ '}
            {settling.words}
          </b>{' '}
          <span className="text-dim">
            Still for <span className="num">{Math.round(settling.heldS)}</span> of <span className="num">{settling.holdS}</span> s
            {target && !settling.atTarget && (
              <>
                ; the next level is at <span className="num">{target.text}</span>
              </>
            )}
            .
          </span>
        </p>
      )}
      {live.problem && (
        <p role="alert" className="mt-1 text-madder">
          {live.problem}
        </p>
      )}
      {last && (
        <div className="mt-2 flex flex-wrap items-center gap-x-4">
          <Check checked={itself} onCheck={() => setItself(!itself)}>
            writes a level down as soon as it holds still
          </Check>
          {(!itself || !settling?.settled) && (
            <button type="button" className="act" onClick={() => void take(last, settling?.settled === true)}>
              {settling?.settled ? 'Write it down' : 'Take it moving'}
            </button>
          )}
        </div>
      )}
      {simulated && <SondePanel live={live} target={target} />}
    </section>
  );
}

function Shown({
  label,
  text,
  unit,
  whole,
  children,
}: {
  label: string;
  text: string | null | undefined;
  unit: string | null;
  /** On a narrow screen it has a line of its own. */
  whole?: boolean;
  children?: React.ReactNode;
}) {
  return (
    <div className={whole ? 'max-sm:col-span-2' : ''}>
      <dt className="text-dim text-sm">{label}</dt>
      <dd>
        <p className="num whitespace-nowrap font-bold text-2xl leading-tight">
          {text ?? '–'} <span className="font-normal text-base">{unit}</span>
        </p>
        {children}
      </dd>
    </div>
  );
}

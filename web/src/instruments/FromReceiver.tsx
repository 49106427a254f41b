import type { ReactNode } from 'react';
import type { FieldSheet, StationRecord } from '../api/client';
import { Simulated } from './Simulated';
import { type Live, useInstrument } from './useInstrument';

/** What the boat's receiver and sounder say now, with whatever is to be done with it. */
export function FromReceiver({
  sheet,
  station,
  simulated,
  children,
}: {
  sheet: FieldSheet;
  station: StationRecord;
  simulated: boolean;
  children: (live: Live) => ReactNode;
}) {
  const live = useInstrument('receiver', sheet, station, simulated);
  return (
    <section aria-label="Receiver and sounder" className="mt-3 border-[1.5px] border-slate bg-sheet p-3.5">
      <h2 className="caps">
        Receiver and sounder
        {simulated && <Simulated />}
      </h2>
      {children(live)}
      {live.problem && (
        <p role="alert" className="mt-1 text-madder">
          {live.problem}
        </p>
      )}
      {live.refused && !live.problem && <p className="mt-1 text-dim text-sm">A line was left out: {live.refused}.</p>}
    </section>
  );
}

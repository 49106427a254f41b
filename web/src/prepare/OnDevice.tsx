import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { asked } from '../api/asked';
import type { KeptOuting } from '../field/store';
import { clockTime, shortDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { fetchOuting, packedOf, packForOffline } from './outings';

interface Props {
  kept: KeptOuting;
  day: string;
  water: string;
  unreached: boolean;
}

/** Packs the outing for the water, and says what is on this device. */
export function OnDevice({ kept, day, water, unreached }: Props) {
  const [packing, setPacking] = useState(false);
  const [problem, setProblem] = useState('');
  const packed = useLiveQuery(() => packedOf(kept.outing), [kept]);

  async function pack() {
    setPacking(true);
    const { data: outing, problem: refused } = await asked(() => fetchOuting(day, water));
    let failed = refused;
    if (outing) {
      failed = await packForOffline(outing, day, water).then(
        () => '',
        (error: Error) => error.message,
      );
    }
    setProblem(failed);
    setPacking(false);
  }

  const ready = kept.packedAt !== undefined && packed !== undefined && packed.missing.length === 0;
  return (
    <section aria-label="On this device" className={`mt-5 border-l-4 bg-sheet p-3.5 ${ready ? 'border-reed' : 'border-buoy'}`}>
      {ready ? (
        <>
          <p role="status">
            <b className="text-reed">Packed on this device</b> {shortDay(kept.packedAt ?? '')}, {clockTime(kept.packedAt ?? '')}.
            It works with no signal.
          </p>
          <p className="mt-1 text-dim text-sm">{packed.words.join(' · ')}</p>
          {!unreached && (
            <button type="button" className="act-quiet -ml-1 mt-1 text-sm" disabled={packing} onClick={() => void pack()}>
              {packing ? 'Packing…' : 'Pack again, with the newest'}
            </button>
          )}
        </>
      ) : (
        <>
          <p>
            <b>{unreached ? 'Not packed, and no signal.' : 'Not packed for the water yet.'}</b>{' '}
            {packed && packed.missing.length > 0
              ? `${packed.missing.join(', ')} is not on this device.`
              : 'Stations, rules, line checks and earlier readings are put on this device.'}
          </p>
          <button
            type="button"
            className="act act-next mt-2.5 w-full"
            disabled={packing || unreached}
            onClick={() => void pack()}
          >
            {packing ? 'Packing…' : 'Pack for offline'}
          </button>
        </>
      )}
      <Problem words={problem} />
    </section>
  );
}

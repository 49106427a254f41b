import type { Schemas } from '../api/client';
import { useNames, useProtocolName } from '../field/boxes';

type Bottle = Schemas['BottlePlan'];
type Plan = Schemas['ProtocolPlan'];

interface Props {
  row: Plan;
  samples: readonly Schemas['SampleType'][];
  /** null for the usual bottles of the protocol. */
  onChange(bottles: Bottle[] | null): void;
}

/** The bottles that something due fills: they are counted for the pack list and get their labels. */
export function BottleRows({ row, samples, onChange }: Props) {
  const protocolName = useProtocolName();
  const places = useNames<Bottle['from']>('plan.from');
  const bottles = row.bottles;
  const what = protocolName(row.protocol);
  const set = (i: number, part: Partial<Bottle>) => onChange((bottles ?? []).map((b, j) => (j === i ? { ...b, ...part } : b)));
  const add = () =>
    onChange([...(bottles ?? []), { type: samples[0]?.code ?? 'chlorophyll-water', from: 'composite', replicates: 0 }]);
  return (
    <div className="basis-full text-sm">
      {!bottles ? (
        <p>
          Fills the usual bottles.{' '}
          <button type="button" className="act-quiet" disabled={samples.length === 0} onClick={add}>
            Choose others<span className="sr-only"> for {what}</span>
          </button>
        </p>
      ) : (
        <>
          {bottles.map((bottle, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: bottles stand in the order in which they are filled
            <div key={i} className="mt-1 flex flex-wrap items-center gap-2">
              <select
                className="field w-auto"
                aria-label={`Sample ${i + 1} of ${what}`}
                value={bottle.type}
                onChange={(event) => set(i, { type: event.target.value })}
              >
                {samples.map(({ code, measures, container }) => (
                  <option key={code} value={code}>
                    {measures}: {container}
                  </option>
                ))}
              </select>
              <select
                className="field w-auto"
                aria-label={`Where sample ${i + 1} of ${what} comes from`}
                value={bottle.from}
                onChange={(event) => set(i, { from: event.target.value as Bottle['from'] })}
              >
                {Object.entries(places).map(([from, words]) => (
                  <option key={from} value={from}>
                    {words}
                  </option>
                ))}
              </select>
              <label className="flex items-center gap-2">
                replicates
                <select
                  className="field w-auto"
                  value={bottle.replicates ?? 0}
                  onChange={(event) => set(i, { replicates: Number(event.target.value) })}
                >
                  {[0, 1, 2, 3].map((count) => (
                    <option key={count}>{count}</option>
                  ))}
                </select>
              </label>
              <button
                type="button"
                className="act-quiet"
                onClick={() => onChange(bottles.length === 1 ? null : bottles.filter((_, j) => j !== i))}
              >
                Leave out
                <span className="sr-only">
                  {' '}
                  sample {i + 1} of {what}
                </span>
              </button>
            </div>
          ))}
          <button type="button" className="act-quiet" onClick={add}>
            Another bottle<span className="sr-only"> for {what}</span>
          </button>
        </>
      )}
    </div>
  );
}

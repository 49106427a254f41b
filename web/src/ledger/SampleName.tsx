import type { LedgerSample } from '../field/ledger';

/** A sample's number, and whether it is a replicate or a blank: never by the number alone. */
export function SampleName({ sample: { number, kin } }: { sample: Pick<LedgerSample, 'number' | 'kin'> }) {
  return (
    <>
      <span className="num break-all font-bold">{number}</span>
      {(kin === 'replicate' || kin === 'blank') && <b>{kin === 'replicate' ? ' REP' : ' BLANK'}</b>}
    </>
  );
}

import { writeAshore } from '../field/entries';
import type { LedgerSample } from '../field/ledger';
import { Reason } from '../ui/Reason';
import { byVisit } from './byVisit';

/** Writes samples down as lost, with the reason; striking that finds them again. */
export function Lose({ samples, onDone, onCancel }: { samples: LedgerSample[]; onDone(): void; onCancel(): void }) {
  return (
    <Reason
      title={samples.length === 1 ? 'How was it lost?' : 'How were they lost?'}
      suggestions={['broken', 'thawed and thrown away', 'not to be found']}
      confirm="Write it down"
      onGiven={async (why) => {
        await writeAshore(
          ...byVisit(samples).map(([visit, numbers]) => ({
            visit,
            kind: 'sample-lost' as const,
            body: { samples: numbers },
            why,
          })),
        );
        onDone();
      }}
      onCancel={onCancel}
    />
  );
}

import { useState } from 'react';
import { write, writeAshore } from '../field/entries';
import { Reason } from '../ui/Reason';

/** A number that has been written, with the way to strike it. */
export function WrittenMark({
  visit,
  entry,
  label,
  text,
  note,
  ashore = false,
}: {
  visit: string;
  entry: string;
  label: string;
  text: string;
  note?: string;
  /** Written at the bench or later, not on the water. */
  ashore?: boolean;
}) {
  const [striking, setStriking] = useState(false);
  return (
    <div className="border-rule border-b">
      <div className="flex items-center gap-4 py-1.5">
        <p className="min-w-0 flex-1">
          {label}
          {note && <span className="block text-dim text-sm">{note}</span>}
        </p>
        <p className="num shrink-0 font-bold text-xl">{text}</p>
        <button
          type="button"
          className="act-quiet shrink-0"
          aria-label={`Strike ${label} ${text}`}
          onClick={() => setStriking(!striking)}
        >
          strike
        </button>
      </div>
      {striking && (
        <div className="pb-3">
          <Reason
            title={`Why is ${text} struck?`}
            suggestions={ashore ? ['misread', 'written twice', 'another sample'] : ['misread mark', 'misheard', 'boat drifted']}
            confirm="Strike it"
            onGiven={(why) => {
              setStriking(false);
              void (ashore ? writeAshore : write)({ visit, kind: 'strike', body: {}, strikes: entry, why });
            }}
            onCancel={() => setStriking(false)}
          />
        </div>
      )}
    </div>
  );
}

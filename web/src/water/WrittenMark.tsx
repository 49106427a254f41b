import { useState } from 'react';
import { write, writeAshore } from '../field/entries';
import { LevelMark } from '../ui/FindingNote';
import { Reason } from '../ui/Reason';
import { useOpenOn } from './now/here';

// A number stands large and whole; words wrap.
const LONG = 12;

/** A number that has been written, with the way to strike it; marked while something about it is open, and only then without its tick. */
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
  const open = useOpenOn(entry);
  return (
    <div className="border-rule border-b">
      <div className="flex items-center gap-4 py-1.5">
        <p className="min-w-0 flex-1 break-words">
          {label}
          {note && <span className="block text-dim text-sm">{note}</span>}
        </p>
        {open && (
          <span className="shrink-0">
            <LevelMark level={open} className="size-5" />
            <span className="sr-only">a {open} is open</span>
          </span>
        )}
        {!(open && text === '✓') && (
          <p
            className={text.length > LONG ? 'min-w-0 flex-1 break-words text-right font-bold' : 'num shrink-0 font-bold text-xl'}
          >
            {text}
          </p>
        )}
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
            suggestions={
              ashore
                ? ['typed wrong', 'misread', 'written twice', 'another sample']
                : ['typed wrong', 'misread', 'misheard', 'boat drifted']
            }
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

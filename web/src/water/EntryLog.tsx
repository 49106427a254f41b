import { memo, useState } from 'react';
import type { FieldSheet } from '../api/client';
import { clockTime } from '../ui/days';

/** Everything written in the visit, struck entries too. */
export function EntryLog({ sheet }: { sheet: FieldSheet }) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="caps flex min-h-9 cursor-pointer items-center">Written so far ({sheet.entries.length})</summary>
      {open && (
        <ol className="mt-1 space-y-1.5 text-sm">
          {sheet.entries.map((entry) => (
            <Line key={entry.id} entry={entry} />
          ))}
        </ol>
      )}
    </details>
  );
}

const Line = memo(function Line({ entry }: { entry: FieldSheet['entries'][number] }) {
  return (
    <li className="grid grid-cols-[3.2rem_1fr]">
      <span className="num text-dim">{clockTime(entry.at)}</span>
      <span>
        {entry.struck ? <s className="decoration-2 decoration-madder">{entry.text}</s> : entry.text}
        {entry.struck && <span className="sr-only"> (struck)</span>}
        {entry.reason && <i className="block text-dim">{entry.reason}</i>}
      </span>
    </li>
  );
});

import { memo, useState } from 'react';
import type { FieldSheet } from '../api/client';
import { clockTime } from '../ui/days';

/** Everything written in the visit, struck entries too; with the person and the device where that is asked. */
export function EntryLog({ sheet, who = false }: { sheet: FieldSheet; who?: boolean }) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="caps flex min-h-9 cursor-pointer items-center">Written so far ({sheet.entries.length})</summary>
      {open && (
        <ol className="mt-1 space-y-1.5 text-sm">
          {sheet.entries.map((entry) => (
            <Line key={entry.id} entry={entry} who={who} />
          ))}
        </ol>
      )}
    </details>
  );
}

const Line = memo(function Line({ entry, who }: { entry: FieldSheet['entries'][number]; who: boolean }) {
  return (
    <li className="grid grid-cols-[3.2rem_1fr]">
      <span className="num text-dim">{clockTime(entry.at)}</span>
      <span>
        {entry.struck ? <s className="decoration-2 decoration-madder">{entry.text}</s> : entry.text}
        {entry.struck && <span className="sr-only"> (struck)</span>}
        {entry.reason && <i className="block text-dim">{entry.reason}</i>}
        {who && (
          <span className="block text-dim">
            {entry.by}, {entry.device}
            {entry.broughtInBy && <>, brought in by {entry.broughtInBy}</>}
          </span>
        )}
      </span>
    </li>
  );
});

import type { FieldSheet } from '../api/client';
import { clockTime } from '../ui/days';

/** Everything written in the visit, struck entries too. */
export function EntryLog({ sheet }: { sheet: FieldSheet }) {
  return (
    <details>
      <summary className="caps flex min-h-9 cursor-pointer items-center">Written so far ({sheet.entries.length})</summary>
      <ol className="mt-1 space-y-1.5 text-sm">
        {sheet.entries.map((entry) => (
          <li key={entry.id} className="grid grid-cols-[3.2rem_1fr]">
            <span className="num text-dim">{clockTime(entry.at)}</span>
            <span>
              {entry.struck ? <s className="decoration-2 decoration-madder">{entry.text}</s> : entry.text}
              {entry.struck && <span className="sr-only"> (struck)</span>}
              {entry.reason && <i className="block text-dim">{entry.reason}</i>}
            </span>
          </li>
        ))}
      </ol>
    </details>
  );
}

import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { shortDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { Reason } from '../ui/Reason';
import { Worked } from '../ui/Worked';
import { DONE } from './words';

interface Props {
  code: string;
  checked: Schemas['CheckedKit'];
  onStruck(changes: readonly string[]): void;
}

/** One check in the history; written down wrongly it is struck, and stays. */
export function HistoryRow({ code, checked: { check, result }, onStruck }: Props) {
  const [asking, setAsking] = useState(false);
  const [problem, setProblem] = useState('');
  const day = `${shortDay(check.day)} ${check.day.slice(0, 4)}`;

  async function strike(why: string) {
    setAsking(false);
    const { data, problem: refused } = await asked(() =>
      api.POST('/api/kit/{code}/checks/{id}/strike', { params: { path: { code, id: check.id } }, body: { why } }),
    );
    setProblem(refused);
    if (data) {
      onStruck(data.changes);
    }
  }

  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-rule border-b py-2">
      <b className={`w-40 whitespace-nowrap ${check.struck ? 'line-through' : ''}`}>{day}</b>
      <span className="min-w-0 flex-1 basis-64">
        <span className={check.struck ? 'line-through' : ''}>
          {DONE[check.kind]}: <Worked working={result.working}>{result.summary}</Worked>
          {check.remark && <span className="text-dim"> · {check.remark}</span>}
        </span>
        {check.struck ? (
          <span className="block text-dim text-sm">
            struck by {check.struckBy}: <i>{check.struck}</i>
          </span>
        ) : (
          result.findings.map(({ finding }) => (
            <span key={finding.code} className="block text-madder text-sm">
              {finding.seen} {finding.act}
            </span>
          ))
        )}
      </span>
      <span className="text-dim text-sm">{check.by}</span>
      {!check.struck && (
        <button type="button" className="act-quiet text-sm" onClick={() => setAsking(true)}>
          Strike<span className="sr-only"> the check of {day}</span>
        </button>
      )}
      {asking && (
        <Reason
          title="Why is it struck?"
          suggestions={['misread tape', 'wrong item', 'typed wrongly']}
          confirm="Strike it"
          onGiven={(why) => void strike(why)}
          onCancel={() => setAsking(false)}
        />
      )}
      <Problem words={problem} />
    </li>
  );
}

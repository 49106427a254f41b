import { Link } from '@tanstack/react-router';
import { plainDay } from '../ui/days';
import { FindingNote } from '../ui/FindingNote';
import type { Answer, Field } from './table';

interface Props {
  answer: Answer;
  stand: readonly Field[];
  busy: boolean;
  onStand(fields: Field[]): void;
  onSure(column: number): void;
  onKeep(): void;
  onStop(): void;
}

/** What the table gives: visits, columns in numbers, and what is left out with the line it stands in. */
export function Outcome({ answer, stand, busy, onStand, onSure, onKeep, onStop }: Props) {
  const kept = answer.import != null;
  const whole = answer.findings.filter(({ line }) => line == null);
  const lines = answer.findings.filter(({ line }) => line != null);
  const visits = `${answer.visits} ${answer.visits === 1 ? 'visit' : 'visits'}`;
  return (
    <section className="mt-6 panel" aria-label="What comes of it">
      <div role="status">
        <h2 className="text-xl">
          {kept ? `Brought in: ${visits}` : answer.visits > 0 ? `This would bring in ${visits}` : 'Nothing can be brought in yet'}
          {answer.from && answer.until && (
            <span className="text-dim">
              {' '}
              from {plainDay(answer.from)} to {plainDay(answer.until)}
            </span>
          )}
        </h2>
        {answer.rows > 0 && (
          <p className="text-dim">
            {answer.rowsUsed} of {answer.rows} rows are used.
          </p>
        )}
      </div>
      {!kept &&
        whole.map(({ finding, column, answerable }) => (
          <FindingNote key={finding.seen} finding={finding}>
            {answerable && column != null && (
              <button type="button" className="act" onClick={() => onSure(column)}>
                It is right, bring it in
              </button>
            )}
          </FindingNote>
        ))}
      {!kept && answer.columns.length > 0 && <Numbers answer={answer} />}
      {!kept && lines.length > 0 && <Lines answer={answer} lines={lines} stand={stand} onStand={onStand} />}
      {!kept && answer.shown.length > 0 && (
        <details className="mt-3">
          <summary className="inline-flex min-h-(--target) cursor-pointer items-center underline">the first visits</summary>
          <ul className="text-sm">
            {answer.shown.map((visit) => (
              <li key={visit.station + visit.day} className="border-rule border-t py-1">
                <span className="num">{visit.station}</span> {plainDay(visit.day)}: {visit.words}
              </li>
            ))}
          </ul>
        </details>
      )}
      {kept ? (
        <p className="mt-2">
          They are provisional until somebody else than you signs them off. <Link to="/record">To the record</Link>
        </p>
      ) : (
        answer.visits > 0 && (
          <div className="mt-3 flex flex-wrap gap-2">
            <button type="button" className="act act-next" disabled={busy} onClick={onKeep}>
              {busy ? 'Bringing it in…' : `Bring in ${visits}`}
            </button>
            {busy && (
              <button type="button" className="act-quiet" onClick={onStop}>
                Stop
              </button>
            )}
          </div>
        )
      )}
    </section>
  );
}

function Numbers({ answer }: { answer: Answer }) {
  const number = (value: number | null | undefined) => (value == null ? '' : String(value));
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="w-full max-w-3xl text-right">
        <caption className="sr-only">What was read of each column</caption>
        <thead>
          <tr className="border-ink border-b text-dim text-sm">
            <th scope="col" className="text-left font-normal">
              column
            </th>
            {['values', 'left out', 'least', 'middle', 'greatest'].map((name) => (
              <th key={name} scope="col" className="pl-4 font-normal">
                {name}
              </th>
            ))}
            <th scope="col" className="pl-3 text-left font-normal">
              unit
            </th>
          </tr>
        </thead>
        <tbody className="num">
          {answer.columns.map((column) => (
            <tr key={column.head} className="border-rule border-b">
              <th scope="row" className="py-0.5 text-left font-normal font-sans">
                {column.head}
              </th>
              <td>{column.values}</td>
              <td className={column.leftOut > 0 ? 'font-bold text-madder' : ''}>{column.leftOut}</td>
              <td>{number(column.low)}</td>
              <td>{number(column.median)}</td>
              <td>{number(column.high)}</td>
              <td className="pl-3 text-left">{column.unit}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Lines({
  answer,
  lines,
  stand,
  onStand,
}: {
  answer: Answer;
  lines: Answer['findings'];
  stand: readonly Field[];
  onStand(fields: Field[]): void;
}) {
  const field = ({ line, column }: Answer['findings'][number]) => ({ line: line ?? 0, column: column ?? 0 });
  const all = lines.filter(({ answerable }) => answerable).map(field);
  return (
    <section className="mt-4" aria-label="Left out, or to look at">
      <h3 className="caps border-ink border-b">Left out, or to look at: {lines.length + answer.moreFindings}</h3>
      <ul className="max-h-[22rem] overflow-y-auto">
        {lines.map((one) => (
          <li
            key={`${one.line} ${one.column} ${one.finding.code}`}
            className="flex flex-wrap items-baseline gap-x-3 border-rule border-b py-1.5"
          >
            <span className="num w-20 shrink-0 text-dim text-sm">line {one.line}</span>
            <span className="min-w-0 flex-1">
              {one.head && <b>{one.head}: </b>}
              {one.finding.seen} <span className="text-dim">{one.finding.why}</span>
            </span>
            {one.answerable && (
              <button type="button" className="act-quiet" onClick={() => onStand([...stand, field(one)])}>
                As it stands
              </button>
            )}
          </li>
        ))}
      </ul>
      {all.length > 1 && (
        <button type="button" className="act-quiet" onClick={() => onStand([...stand, ...all])}>
          {all.length === 2 ? 'Both' : `All ${all.length} of them`} as they stand
        </button>
      )}
      {stand.length > 0 && (
        <button type="button" className="act-quiet" onClick={() => onStand([])}>
          Leave them out again
        </button>
      )}
    </section>
  );
}

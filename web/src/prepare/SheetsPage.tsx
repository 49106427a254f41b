import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { clockTime, dayAndTime, longDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { SelectField } from '../ui/SelectField';
import { UNITS } from '../ui/units';
import { type Outing, type OutingStop, useOuting } from './outings';

type Paper = 'a4' | 'letter';
const PAPERS: Record<Paper, string> = { a4: 'A4', letter: 'US Letter' };

/** A sheet for each station, for those who stay on paper; its boxes stand in the order in which they are typed in afterwards. */
export function SheetsPage() {
  const { day, water } = useParams({ from: '/prepare/$day/$water/sheets' });
  const { kept: held, problem } = useOuting(day, water);
  // What an earlier build kept has no boxes; it is fetched anew where there is a signal.
  const kept = held?.outing.stops.every((stop) => stop.paper as typeof stop.paper | undefined) ? held : undefined;
  const [paper, setPaper] = useState<Paper>(/-(US|CA)$/.test(navigator.language) ? 'letter' : 'a4');
  return (
    <PageFrame>
      <div className="print:hidden">
        <p className="text-sm">
          <Link to="/prepare/$day/$water" params={{ day, water }}>
            Back to the outing
          </Link>
        </p>
        <h1 className="text-2xl sm:text-3xl">Field sheets for {longDay(day)}</h1>
        <p className="mt-1 max-w-prose text-dim">
          One page a station. Write what is read, in the unit of the line; sums are done when it is typed in.
        </p>
        {!kept && <Problem words={problem} />}
        <div className="flex flex-wrap items-end gap-x-6">
          <SelectField label="Paper" value={paper} options={PAPERS} onChange={setPaper} />
          <button type="button" className="act act-next" disabled={!kept} onClick={() => print()}>
            Print {kept?.outing.stops.length === 1 ? 'the sheet' : `${kept?.outing.stops.length ?? ''} sheets`}
          </button>
        </div>
      </div>
      {kept?.outing.stops.map((stop) => (
        <FieldSheet key={stop.station.code} outing={kept.outing} stop={stop} paper={paper} />
      ))}
    </PageFrame>
  );
}

interface SheetProps {
  outing: Outing;
  stop: OutingStop;
  paper: Paper;
}

function FieldSheet({ outing, stop, paper }: SheetProps) {
  const { station } = stop;
  return (
    <article className={`field-sheet field-sheet-${paper}`} aria-label={`Sheet for ${station.name}`}>
      <header className="flex items-baseline justify-between border-black border-b-2">
        <h2 className="text-lg">
          {station.water}, {station.name} <span className="num">{station.code}</span>
        </h2>
        <span>
          {station.district} · {longDay(outing.day)}
        </span>
      </header>
      <p>
        {stop.programmeName} version {stop.programmeVersion} · {clockTime(`1970-01-01T${stop.hours.from}`)}–
        {clockTime(`1970-01-01T${stop.hours.until}`)} · known depth {station.knownDepth.written}{' '}
        {UNITS[station.knownDepth.unit ?? 'm'].short} · {station.latitudeDeg.toFixed(5)}, {station.longitudeDeg.toFixed(5)}
        {outing.latestBack && ` · to the lab, leave by ${dayAndTime(outing.latestBack)}`}
      </p>
      {stop.paper.map((piece) => (
        <Piece key={piece.title} piece={piece} />
      ))}
      <p>Remarks</p>
      <div className="min-h-8 flex-1 border border-black" />
    </article>
  );
}

function Piece({ piece: { title, boxes = [], ticks = [], table } }: { piece: Schemas['PaperPiece'] }) {
  return (
    <section>
      <h3>{title}</h3>
      {boxes.length > 0 && (
        <div className="grid grid-cols-6 gap-1">
          {boxes.map(({ label, unit, answers, ticked }) => (
            <div key={label} className="min-h-9 border border-black px-1 text-[0.6875rem] leading-tight">
              {label}
              {unit && `, ${unit}`}
              {ticked && answers && (
                <p className="flex flex-wrap gap-x-1.5">
                  {answers.map((answer) => (
                    <span key={answer}>☐ {answer}</span>
                  ))}
                </p>
              )}
            </div>
          ))}
        </div>
      )}
      <Answers boxes={boxes} />
      {ticks.length > 0 && <p className="mt-1">{ticks.map((tick) => `☐ ${tick}`).join(' · ')}</p>}
      {table && <Table table={table} />}
    </section>
  );
}

/** What may be written where there was no room for it; boxes with the same answers stand together. */
function Answers({ boxes }: { boxes: Schemas['PaperBox'][] }) {
  const labels = new Map<string, string[]>();
  for (const { label, answers, ticked } of boxes) {
    if (answers && !ticked) {
      const words = answers.join(' · ');
      labels.set(words, [...(labels.get(words) ?? []), label]);
    }
  }
  return labels.size === 0 ? null : (
    <p className="mt-0.5 text-[0.6875rem] leading-tight">
      {[...labels].map(([words, of]) => (
        <span key={words}>
          <b>{of.join('; ')}:</b> {words}.{' '}
        </span>
      ))}
    </p>
  );
}

/** A long table stands in two columns, so that the page stays one. */
function Table({ table: { heads, rows } }: { table: Schemas['PaperTable'] }) {
  const half = rows.length > 8 ? Math.ceil(rows.length / 2) : rows.length;
  const parts = [rows.slice(0, half), rows.slice(half)].filter((part) => part.length > 0);
  return (
    <div className={`grid gap-4 ${parts.length > 1 ? 'grid-cols-2' : ''}`}>
      {parts.map((part) => (
        <table key={part[0]?.[0]} className="sheet-table">
          <thead>
            <tr>
              {heads.map((head) => (
                <th key={head}>{head}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {part.map((row) => (
              <tr key={row[0]}>
                {row.map((cell, i) => (
                  <td key={heads[i]} className={i === 0 ? 'num' : ''}>
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </div>
  );
}

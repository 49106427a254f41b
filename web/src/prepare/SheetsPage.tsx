import { Link, useParams } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { asked } from '../api/asked';
import type { StationRecord } from '../api/client';
import { store } from '../field/store';
import { useComputed } from '../field/useComputed';
import { clockTime, dayAndTime, longDay } from '../ui/days';
import { DISC_MARKS } from '../ui/discMarks';
import { Problem } from '../ui/Problem';
import { SelectField } from '../ui/SelectField';
import { UNITS } from '../ui/units';
import { fetchOuting, type Outing, type OutingStop, outingKey } from './outings';

type Paper = 'a4' | 'letter';
const PAPERS: Record<Paper, string> = { a4: 'A4', letter: 'US Letter' };

/** A sheet for each station, for those who stay on paper; its boxes stand in the order in which they are typed in afterwards. */
export function SheetsPage() {
  const { day, water } = useParams({ from: '/prepare/$day/$water/sheets' });
  const kept = useLiveQuery(async () => (await store.outings.get(outingKey(day, water))) ?? null, [day, water]);
  const stations = useLiveQuery(() => store.stations.toArray(), []);
  const [paper, setPaper] = useState<Paper>(/-(US|CA)$/.test(navigator.language) ? 'letter' : 'a4');
  const [problem, setProblem] = useState('');
  useEffect(() => void asked(() => fetchOuting(day, water)).then((answer) => setProblem(answer.problem)), [day, water]);
  return (
    <div className="mx-auto w-full max-w-[68rem] px-4 py-5 sm:px-6 print:m-0 print:max-w-none print:p-0">
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
        <FieldSheet
          key={stop.station.code}
          outing={kept.outing}
          stop={stop}
          paper={paper}
          record={stations?.find(({ code }) => code === stop.station.code)?.record}
        />
      ))}
    </div>
  );
}

interface SheetProps {
  outing: Outing;
  stop: OutingStop;
  paper: Paper;
  record: StationRecord | undefined;
}

function FieldSheet({ outing, stop, paper, record }: SheetProps) {
  const { station } = stop;
  // An empty visit says which boxes the programme's method asks for.
  const { data: empty } = useComputed(
    'fold-visit',
    record && { entries: [], context: { ...record.context, history: [] }, reader: 'as-read' },
  );
  const boxes = empty?.clarity.boxes ?? [];
  const line = record?.context.lines.find(({ code }) => code === stop.line);
  const unit = UNITS[line?.unit ?? 'm'].short;
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
      {station.transits?.map(({ near, far }) => (
        <p key={near.name + far.name}>
          In line: {near.name} with {far.name} ☐
        </p>
      ))}
      <Boxes
        title="Arriving"
        names={[
          'people',
          'began (24 h)',
          ...(stop.asksHalf ? ['☐ a.m. ☐ p.m.'] : []),
          'air, before it is wet',
          'cloud, eighths',
          'wind, from',
          'waves 1–4',
          'rain 24 h',
          'rain 72 h',
          'surface',
          `sounding, ${unit}`,
        ]}
      />
      <Boxes
        title={`Clarity, ${unit}${stop.line ? `, line ${stop.line}` : ''}: as read, no sums`}
        names={boxes.map((box) => `${DISC_MARKS[box.event].name}, reading ${box.lowering}`)}
      />
      <p>
        ☐ shaded side ☐ no sunglasses ☐ on the bottom, in sight ☐ lost in plants ☐ lost in stirred mud · colour ____ · algae 1–5
        ____
      </p>
      {stop.levels.length > 0 && <Levels levels={stop.levels} />}
      {stop.samples.length > 0 && (
        <table className="sheet-table">
          <caption>Samples</caption>
          <thead>
            <tr>
              <th>number</th>
              <th>what</th>
              <th className="w-[32mm]">depth</th>
              <th className="w-[16mm]">time</th>
              <th className="w-[14mm]">kept</th>
              <th className="w-[36mm]">remarks</th>
            </tr>
          </thead>
          <tbody>
            {stop.samples.map((sample) => (
              <tr key={sample.number}>
                <td className="num">{sample.number}</td>
                <td>
                  {sample.type.measures}
                  {sample.replicate > 0 ? ', REP' : ''}
                </td>
                <td>{sample.depth}</td>
                <td />
                <td>{sample.type.keep}</td>
                <td />
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Boxes title="Leaving" names={['ended (24 h)', 'gear counted', 'samples counted', 'clean, drain, dry', 'told ashore']} />
      <p className="mt-2">Remarks</p>
      <div className="min-h-10 flex-1 border border-black" />
    </article>
  );
}

function Boxes({ title, names }: { title: string; names: readonly string[] }) {
  return names.length === 0 ? null : (
    <section>
      <h3>{title}</h3>
      <div className="grid grid-cols-5 gap-1.5">
        {names.map((name) => (
          <div key={name} className="h-11 border border-black px-1 text-[0.6875rem]">
            {name}
          </div>
        ))}
      </div>
    </section>
  );
}

/** Two columns of levels at most, so that the page stays one. */
function Levels({ levels }: { levels: readonly string[] }) {
  const half = Math.ceil(levels.length / 2);
  return (
    <section>
      <h3>Profile: write what the meter shows, with its unit once at the top</h3>
      <div className="grid grid-cols-2 gap-4">
        {[levels.slice(0, half), levels.slice(half)].map((part) => (
          <table key={part[0]} className="sheet-table">
            <thead>
              <tr>
                <th>depth</th>
                <th>temp. ____</th>
                <th>oxygen ____</th>
                <th>____</th>
              </tr>
            </thead>
            <tbody>
              {part.map((level) => (
                <tr key={level}>
                  <td className="num">{level}</td>
                  <td />
                  <td />
                  <td />
                </tr>
              ))}
            </tbody>
          </table>
        ))}
      </div>
    </section>
  );
}

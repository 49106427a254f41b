import { Link, useNavigate, useSearch } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type StationRecord } from '../api/client';
import { usePulled } from '../api/usePulled';
import { refreshNow } from '../field/delivery';
import type { KeptStation } from '../field/store';
import { useAppearance } from '../ui/appearance';
import { Check } from '../ui/Check';
import { Choice } from '../ui/Choice';
import { plainDay } from '../ui/days';
import { FindingNote } from '../ui/FindingNote';
import { Problem } from '../ui/Problem';
import { Worked } from '../ui/Worked';
import { DataTable } from './DataTable';
import { JoinSeries } from './JoinSeries';
import { Limits } from './Limits';
import { nativeOf, type Subject, seriesOf, type Trend, useClarities, useTrend } from './series';
import { TogetherAside } from './TogetherPage';
import { YearsChart } from './YearsChart';

/** A series of a station: the sentence, the picture, what holds the answer back. */
export function SeriesPage({
  code,
  record,
  subject,
  stations,
}: {
  code: string;
  record: StationRecord;
  subject: Subject;
  stations: KeptStation[];
}) {
  const { reader } = useAppearance();
  const navigate = useNavigate();
  const { visit } = useSearch({ from: '/record/$station' });
  const { points, pending } = useClarities(code, record);
  const [provisional, setProvisional] = useState(false);
  const [test, setTest] = useState<'annual' | 'seasonal'>('annual');
  const [beside, setBeside] = useState('');
  const native = nativeOf(record);
  const series = points && seriesOf(record, subject, points);
  const benchmarks = usePulled(
    () => api.GET('/api/waters/{code}/limits', { params: { path: { code: record.context.station.waterCode } } }),
    ['limits', record.context.station.waterCode],
  );
  const limits = (benchmarks.data ?? []).filter((limit) => limit.subject === subject);
  const { trend, problem } = useTrend(series, {
    native,
    reader,
    provisional,
    test,
    limits: limits.map(({ above, value, name, source }) => ({ above, value, name, source })),
  });
  if (problem) {
    return <Problem words={problem} />;
  }
  if (!trend || !pending) {
    return <p className="mt-6 text-dim">Working out the years…</p>;
  }
  const { station } = record.context;
  const file = `${code}-${subject}`;
  const marked = visit ? trend.points.find((point) => point.visit === visit) : undefined;
  const last = trend.points.at(-1);
  if (!last) {
    return (
      <>
        <h1 className="mt-4 text-2xl sm:text-3xl">
          No {trend.name} has been read at {station.name} yet.
        </h1>
        <Link to="/start/$station" params={{ station: code }} className="act act-next mt-6">
          Start a visit
        </Link>
      </>
    );
  }
  const others = stations.filter(
    (other) =>
      other.code !== code && (subject === 'clarity' || (other.record.series ?? []).some((one) => one.subject === subject)),
  );
  return (
    <>
      <h1 className="mt-3 text-2xl sm:text-3xl">{trend.headline}</h1>
      <p className="mt-1 max-w-[60rem] text-dim">
        {trend.detail} {trend.working && <Worked working={trend.working}>Show the working</Worked>}
      </p>
      {marked && subject === 'clarity' && (
        <h2 className="mt-3 border-buoy border-l-4 pl-3 text-xl">
          Clear to <span className="num text-slate">{marked.text}</span> at {station.name} on {plainDay(marked.day)}.
          {pending.has(marked.visit) && (
            <span className="block font-normal text-base text-dim">○ On this device only, until there is a signal.</span>
          )}
          {!pending.has(marked.visit) && !marked.signedOff && (
            <span className="block font-normal text-base text-dim">
              ○ Provisional: it counts in the trend once somebody else has signed it off.
            </span>
          )}
        </h2>
      )}
      <div className="mt-3 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="min-w-0">
          <YearsChart
            trend={trend}
            pending={pending}
            marked={visit}
            limits={limits}
            onVisit={(to) => void navigate({ to: '/visit/$visit', params: { visit: to } })}
          />
          {beside && <Beside code={beside} stations={stations} subject={subject} />}
          <Years trend={trend} file={file} />
          <Readings trend={trend} file={file} pending={pending} />
        </div>
        <aside className="border-rule lg:border-l lg:pl-6">
          {trend.wouldKnow && (
            <>
              <h2 className="caps">Would we know?</h2>
              <p className="mt-1">{trend.wouldKnow.text}</p>
            </>
          )}
          {(trend.heldBack.length > 0 || trend.findings.length > 0) && (
            <>
              <h2 className="caps mt-5">What holds it back</h2>
              {trend.heldBack.map((words) => (
                <p key={words} className="mt-1">
                  {words}
                </p>
              ))}
              {trend.findings.map((finding) => (
                <FindingNote key={finding.code} finding={finding} />
              ))}
            </>
          )}
          {trend.breaks.length > 0 && record.mayReview && (
            <JoinSeries code={code} subject={subject} breaks={trend.breaks} onChanged={() => refreshNow()} />
          )}
          {subject === 'clarity' && <TogetherAside record={record} clarity={trend} />}
          <Limits
            water={station.waterCode}
            subject={subject}
            trend={trend}
            limits={limits}
            mayChange={record.mayReview}
            onChanged={() => void benchmarks.again()}
          />
          <div className="print:hidden">
            <h2 className="caps mt-5">Look at it otherwise</h2>
            <Choice
              label="The test"
              value={test}
              options={[
                ['annual', 'one value a year'],
                ['seasonal', 'month by month'],
              ]}
              onChoose={setTest}
            />
            {(trend.waiting > 0 || provisional) && (
              <Check className="mt-2" checked={provisional} onCheck={setProvisional}>
                count what waits for review
              </Check>
            )}
            {others.length > 0 && (
              <label className="mt-2 block">
                <span className="font-bold text-sm">Another station below</span>
                <select className="field mt-1 w-full" value={beside} onChange={(event) => setBeside(event.target.value)}>
                  <option value="">none</option>
                  {others.map((other) => (
                    <option key={other.code} value={other.code}>
                      {other.record.context.station.water}, {other.record.context.station.name}
                    </option>
                  ))}
                </select>
              </label>
            )}
          </div>
        </aside>
      </div>
    </>
  );
}

/** Year by year, as a table. */
function Years({ trend, file }: { trend: Trend; file: string }) {
  return (
    <DataTable
      title="By year"
      file={`${file}-years`}
      rows={trend.years.toReversed()}
      columns={[
        { name: 'year', of: ({ name }) => name },
        { name: 'values', of: ({ count }) => count },
        { name: 'censored', of: ({ censoredCount }) => censoredCount },
        { name: 'mean', unit: trend.unit, of: ({ mean }) => mean },
        { name: 'median', unit: trend.unit, of: ({ median }) => median },
        { name: 'least', unit: trend.unit, of: ({ low }) => low },
        { name: 'greatest', unit: trend.unit, of: ({ high }) => high },
        { name: 'standard error', unit: trend.unit, of: ({ standardError }) => standardError },
        { name: 'in words', of: ({ text, provisional }) => `${text}${provisional ? ', provisional' : ''}` },
      ]}
    />
  );
}

/** Every reading; each leads to its visit, and from there to the entries, the device and the person. */
function Readings({ trend, file, pending }: { trend: Trend; file: string; pending: ReadonlySet<string> }) {
  return (
    <DataTable
      title="Every reading, down to its visit"
      file={file}
      rows={trend.points.toReversed()}
      visitOf={({ visit }) => visit}
      columns={[
        { name: 'day', of: ({ day }) => day, shown: ({ day }) => plainDay(day) },
        { name: 'as reported', of: ({ text }) => text },
        { name: trend.name, unit: trend.unit, of: ({ value }) => value },
        { name: 'censored', of: ({ censored }) => (censored === 'none' ? '' : censored) },
        { name: 'method', of: ({ method }) => method ?? '' },
        {
          name: 'state',
          of: ({ visit, usable, signedOff }) =>
            pending.has(visit) ? 'on this device only' : !usable ? 'a stop is open' : signedOff ? 'signed off' : 'provisional',
        },
      ]}
    />
  );
}

/** The same series of another station, on the same page. */
function Beside({ code, stations, subject }: { code: string; stations: KeptStation[]; subject: Subject }) {
  const other = stations.find((station) => station.code === code);
  return other ? <BesideStation code={code} record={other.record} subject={subject} /> : null;
}

function BesideStation({ code, record, subject }: { code: string; record: StationRecord; subject: Subject }) {
  const { reader } = useAppearance();
  const { points, pending } = useClarities(code, record);
  const { trend } = useTrend(points && seriesOf(record, subject, points), { native: nativeOf(record), reader });
  return trend && pending ? (
    <section className="mt-6 border-ink border-t-[1.5px] pt-3">
      <h2 className="text-lg">
        {record.context.station.water}, {record.context.station.name}
      </h2>
      <p>{trend.headline}</p>
      <YearsChart trend={trend} pending={pending} />
    </section>
  ) : null;
}

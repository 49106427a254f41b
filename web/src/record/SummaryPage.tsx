import { Link, useNavigate, useSearch } from '@tanstack/react-router';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useAppearance } from '../ui/appearance';
import { Problem } from '../ui/Problem';
import { YearChoice } from './YearChoice';

/** The coordinator's year across all waters: what was done, what changes, what waits. */
export function SummaryPage() {
  const { year } = useSearch({ from: '/record/summary' });
  const { reader } = useAppearance();
  return <Summary key={`${year} ${reader}`} year={year} reader={reader} />;
}

function Summary({ year, reader }: { year: number | undefined; reader: Schemas['ReaderUnit'] }) {
  const navigate = useNavigate();
  const { data, problem } = usePulled(
    () => api.GET('/api/record/summary', { params: { query: { reader, ...(year && { year }) } } }),
    ['summary', reader, year],
  );
  if (problem) {
    return <Problem words={problem} />;
  }
  if (!data) {
    return <p className="p-6 text-dim">Asking the record…</p>;
  }
  const { summary } = data;
  const subjects = (data.subjects ?? []).filter(({ code }) => data.stations.some(({ years }) => years[code]));
  return (
    <article className="report mx-auto w-full max-w-[68rem] px-4 py-5 sm:px-6 print:max-w-none print:p-0">
      <p className="flex flex-wrap items-center gap-x-5 text-sm print:hidden">
        <Link to="/record">Record</Link>
        <YearChoice
          year={data.year}
          years={data.years}
          onYear={(one) => void navigate({ to: '/record/summary', search: { year: one } })}
        />
        <button type="button" className="act act-next" onClick={() => print()}>
          Print it, or save it as PDF
        </button>
      </p>
      <h1 className="mt-3 text-3xl">All waters, {data.year}</h1>
      <p className="mt-2 border-slate border-l-4 pl-4 text-lg">{summary.done}</p>
      <div className="mt-5 grid gap-x-10 gap-y-5 lg:grid-cols-2 print:grid-cols-2">
        <section>
          <h2 className="caps border-ink border-b">What changes</h2>
          {summary.changing.map((words) => (
            <p key={words} className="mt-1.5">
              {words}
            </p>
          ))}
          {summary.still && <p className="mt-1.5 text-dim">{summary.still}</p>}
        </section>
        <section>
          <h2 className="caps border-ink border-b">What waits</h2>
          {summary.toDo.length === 0 && <p className="mt-1.5">Nothing waits: all of it is signed off.</p>}
          <ul className="list-disc pl-5">
            {summary.toDo.map((words) => (
              <li key={words} className="mt-1.5">
                {words}
              </li>
            ))}
          </ul>
          {data.stations.some(({ waiting }) => waiting > 0) && (
            <p className="mt-2 print:hidden">
              <Link to="/review">To the review</Link>
            </p>
          )}
        </section>
      </div>
      <section className="mt-6">
        <h2 className="caps border-ink border-b">Station by station</h2>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a part that scrolls is reached by keyboard, too */}
        <section className="overflow-x-auto" tabIndex={0} aria-label="Station by station">
          <table className="w-full min-w-[46rem] text-sm">
            <thead>
              <tr className="border-ink border-b text-left align-bottom [&>th]:py-1">
                <th scope="col" className="pr-3">
                  station
                </th>
                <th scope="col" className="pr-3 text-right">
                  visits
                </th>
                {subjects.map(({ code, name }) => (
                  <th key={code} scope="col" className="pr-3 text-right">
                    {name}
                  </th>
                ))}
                <th scope="col" className="pr-3 text-right">
                  not signed off
                </th>
                <th scope="col" className="text-right">
                  open findings
                </th>
              </tr>
            </thead>
            <tbody>
              {data.stations.map((row) => (
                <tr key={row.station} className="border-rule border-b">
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    <Link to="/record/$station" params={{ station: row.station }}>
                      {row.water}, {row.name}
                    </Link>
                  </th>
                  <td className="num pr-3 text-right">{row.visits}</td>
                  {subjects.map(({ code }) => (
                    <td key={code} className="num pr-3 text-right" title={row.years[code]?.words ?? undefined}>
                      {row.years[code]?.text ?? '–'}
                      {row.years[code]?.provisional && <span className="text-dim"> ○</span>}
                    </td>
                  ))}
                  <td className="num pr-3 text-right">{row.waiting || ''}</td>
                  <td className="num text-right">{row.open || ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <p className="mt-1 text-dim text-sm">“2 of 4”: too few values for a mean or median. ○ some of it waits for review.</p>
      </section>
    </article>
  );
}

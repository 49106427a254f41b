import { Link, useNavigate, useParams, useSearch } from '@tanstack/react-router';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useAppearance } from '../ui/appearance';
import { Problem } from '../ui/Problem';
import { YearChoice } from './YearChoice';
import { YearsChart } from './YearsChart';

const NONE: ReadonlySet<string> = new Set();

/** The year of a water on two pages, for neighbours; printed it fits A4 and Letter. */
export function ReportPage() {
  const { water } = useParams({ from: '/record/report/$water' });
  const { year } = useSearch({ from: '/record/report/$water' });
  const { reader } = useAppearance();
  return <Report key={`${water} ${year} ${reader}`} water={water} year={year} reader={reader} />;
}

function Report({ water, year, reader }: { water: string; year: number | undefined; reader: Schemas['ReaderUnit'] }) {
  const navigate = useNavigate();
  const { data, problem } = usePulled(
    () => api.GET('/api/waters/{code}/report', { params: { path: { code: water }, query: { ...(year && { year }), reader } } }),
    ['report', water, year, reader],
  );
  if (problem) {
    return <Problem words={problem} />;
  }
  if (!data) {
    return <p className="p-6 text-dim">Writing the report…</p>;
  }
  const { report, series, district } = data;
  return (
    <article className="report mx-auto w-full max-w-[52rem] px-4 py-5 sm:px-6 print:max-w-none print:p-0">
      <p className="flex flex-wrap items-center gap-x-5 text-sm print:hidden">
        <Link to="/record">Record</Link>
        <YearChoice
          year={data.year}
          years={data.years}
          onYear={(one) => void navigate({ to: '/record/report/$water', params: { water }, search: { year: one } })}
        />
        <button type="button" className="act act-next" onClick={() => print()}>
          Print it, or save it as PDF
        </button>
      </p>
      <h1 className="mt-3 text-3xl">{report.title}</h1>
      <p className="text-dim">{district}</p>
      <p className="mt-3 border-slate border-l-4 pl-4 text-lg">{report.inShort}</p>
      {report.sections.map(({ title, paragraphs }) => (
        <section key={title} className="mt-5 break-inside-avoid">
          <h2 className="caps border-ink border-b">{title}</h2>
          {paragraphs.map((words) => (
            <p key={words} className="mt-1.5">
              {words}
            </p>
          ))}
        </section>
      ))}
      <div className="mt-6 grid gap-x-8 gap-y-5 sm:grid-cols-2 print:grid-cols-2 print:break-before-page">
        {series.map(({ station, name, trend }) => (
          <section key={station + trend.subject} className="min-w-0 break-inside-avoid">
            <h2 className="font-bold">
              {name}: {trend.name}
            </h2>
            <YearsChart trend={trend} pending={NONE} height={250} plain />
          </section>
        ))}
      </div>
      {series.length > 0 && (
        <p className="mt-2 text-dim text-sm">
          ● a year’s mean, ▬ its median, hollow where provisional; · one reading; ↓ beyond a limit; ╌ the slope with its band,
          also where chance explains it. Depths hang from the surface.
        </p>
      )}
      <section className="mt-5 break-inside-avoid">
        <h2 className="caps border-ink border-b">How to read it</h2>
        <ul className="mt-1.5 list-disc pl-5">
          {report.cautions.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </section>
      <Appendix series={series} />
    </article>
  );
}

/** The numbers behind the pictures. */
function Appendix({ series }: { series: Schemas['ReportSeries'][] }) {
  return (
    <section className="mt-6 print:break-before-page">
      <h2 className="caps border-ink border-b">The numbers</h2>
      <div className="grid gap-x-8 sm:grid-cols-2 print:grid-cols-2">
        {series.map(({ station, name, trend }) => (
          <table key={station + trend.subject} className="mt-3 w-full self-start text-sm break-inside-avoid">
            <caption className="text-left font-bold">
              {name}: {trend.name}
            </caption>
            <tbody>
              {trend.years.map((year) => (
                <tr key={year.year} className="border-rule border-b">
                  <th scope="row" className="num py-0.5 text-left font-normal">
                    {year.name}
                  </th>
                  <td className="py-0.5 text-right">
                    {year.text}
                    {year.provisional && ', provisional'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ))}
      </div>
    </section>
  );
}

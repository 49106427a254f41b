import { Link, useNavigate, useSearch } from '@tanstack/react-router';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useAppearance } from '../ui/appearance';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { DataTable } from './DataTable';
import { MiniYears } from './MiniYears';
import type { View } from './views';
import { YearChoice } from './YearChoice';

/** Stations side by side: one subject, one year beside the years before it, programme by programme. */
export function BesidePage() {
  const { of = 'clarity', year } = useSearch({ from: '/record/beside' });
  const { reader } = useAppearance();
  return <Beside key={`${of} ${year} ${reader}`} of={of} year={year} reader={reader} />;
}

function Beside({ of, year, reader }: { of: View; year: number | undefined; reader: Schemas['ReaderUnit'] }) {
  const navigate = useNavigate();
  const { data, problem } = usePulled(
    () => api.GET('/api/record/stations', { params: { query: { subject: of, reader, ...(year && { year }) } } }),
    ['beside', of, reader, year],
  );
  const go = (search: { of: View; year?: number }) => void navigate({ to: '/record/beside', search });
  const programmes = Object.entries(data?.programmes ?? {});
  return (
    <PageFrame width="chart">
      <p className="text-sm print:hidden">
        <Link to="/record">Record</Link>
      </p>
      <h1 className="text-2xl sm:text-3xl">Stations side by side</h1>
      <p className="mt-2 flex flex-wrap gap-3 print:hidden">
        <label>
          <span className="sr-only">What of them</span>
          <select className="field w-auto font-bold" value={of} onChange={(event) => go({ of: event.target.value })}>
            {(data?.subjects ?? []).map(({ code, name }) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {data && data.years.length > 0 && (
          <YearChoice year={data.year} years={data.years} onYear={(one) => go({ of, year: one })} />
        )}
      </p>
      <p className="mt-2 max-w-prose text-dim">
        Two stations are held side by side, not made one number; programmes may read in different ways. ○ some of it waits for
        review.
      </p>
      <Problem words={problem} />
      {!data && !problem && <p className="mt-6 text-dim">Asking the record…</p>}
      {data?.stations.length === 0 && <p className="mt-6">Nothing of it has been read at any station yet.</p>}
      {data &&
        programmes.map(([code, name]) => (
          <section key={code} className="mt-6" aria-label={name}>
            <h2 className="caps border-ink border-b-[1.5px] pb-1">{name}</h2>
            <ul>
              {data.stations
                .filter(({ programme, years }) => programme === code && years)
                .map((station) => (
                  <Row key={station.station} row={station} of={of} year={data.year} />
                ))}
            </ul>
            {data.stations.some(({ programme, years }) => programme === code && !years) && (
              <p className="mt-1 text-dim">Only the first are drawn; the table below has them all.</p>
            )}
          </section>
        ))}
      {data && data.stations.length > 0 && (
        <DataTable
          title={`All stations, ${data.year}`}
          file={`stations-${of}-${data.year}`}
          rows={data.stations}
          columns={[
            { name: 'water', of: ({ water }) => water },
            { name: 'station', of: ({ name }) => name },
            { name: String(data.year), unit: data.unit, of: ({ beside }) => beside?.value },
            { name: 'median of the years before', unit: data.unit, of: ({ beside }) => beside?.median },
            { name: 'years before', of: ({ beside }) => beside?.earlier },
            { name: 'is it changing', of: ({ headline }) => headline },
          ]}
        />
      )}
    </PageFrame>
  );
}

function Row({ row, of, year }: { row: Schemas['StationBeside']; of: View; year: number }) {
  const { years, line, depth, headline, beside } = row;
  return (
    <li className="grid items-center gap-x-5 gap-y-1 border-rule border-b py-2 md:grid-cols-[13rem_9rem_12rem_minmax(0,1fr)]">
      <Link to="/record/$station" params={{ station: row.station }} search={{ of }} className="min-w-0">
        <b>{row.name}</b> <span className="block text-dim">{row.water}</span>
      </Link>
      <p>
        <span className="num text-xl">{beside?.text ?? '–'}</span>
        {beside?.provisional && <span className="text-dim"> ○</span>}
        <span className="block text-dim text-sm">
          {!beside ? `nothing in ${year}` : beside.count < beside.least ? 'too few for a value' : String(year)}
        </span>
      </p>
      <div className="max-md:hidden">
        <MiniYears years={years ?? []} line={line} depth={depth} height={40} />
      </div>
      <p className="text-sm">
        {beside?.words && <span className="block">{beside.words}.</span>}
        <span className="text-dim">{headline}</span>
      </p>
    </li>
  );
}

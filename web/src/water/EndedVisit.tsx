import { Link } from '@tanstack/react-router';
import { lazy, Suspense } from 'react';
import { clockTime, plainDay } from '../ui/days';
import { Worked } from '../ui/Worked';
import { AsRead } from './AsRead';
import { EntryLog } from './EntryLog';
import type { StepProps } from './VisitPage';

const ClosedSheet = lazy(() => import('./ClosedSheet').then((m) => ({ default: m.ClosedSheet })));

/** The moment after: what today gave, and where it now stands. */
export function EndedVisit({ sheet, station, onStep }: StepProps) {
  const { result } = sheet.clarity;
  const { context } = station;
  const open = sheet.findings.filter((finding) => finding.level !== 'note' && finding.kept == null);
  return (
    <>
      <p className="hidden font-bold text-2xl print:block">
        {context.station.water}, {context.station.name} ({context.station.code}) · {context.programme.name} version{' '}
        {context.programme.version}
      </p>
      <p className="caps">
        {sheet.startedAt && plainDay(sheet.startedAt)}
        {sheet.startedAt && sheet.closedAt && `, ${clockTime(sheet.startedAt)} to ${clockTime(sheet.closedAt)}`}
      </p>
      <h2 className="mt-1 text-3xl">
        {result.clarityM == null ? (
          (result.text ?? 'No clarity was read')
        ) : (
          <>
            Clear to{' '}
            <Worked working={result.working} className="text-4xl">
              {result.text}
            </Worked>
          </>
        )}
      </h2>
      {result.asReadText && <AsRead sheet={sheet} />}
      {result.compared && result.clarityM != null && <p className="mt-2 text-lg">{result.compared.text}.</p>}
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-5 border-rule border-t pt-3">
        <dt className="text-dim">Sounding</dt>
        <dd className="num">{sheet.sounding?.text ?? 'not sounded'}</dd>
        <dt className="text-dim">Composite</dt>
        <dd>{sheet.composite.text ? <Worked working={sheet.composite.working}>{sheet.composite.text}</Worked> : 'no depth'}</dd>
        <dt className="text-dim">Read by</dt>
        <dd>{sheet.observers.join(' and ')}</dd>
        <dt className="text-dim">For review</dt>
        <dd>
          {open.length === 0 ? 'nothing open' : open.length === 1 ? '1 finding' : `${open.length} findings`}
          {open.map((finding) => (
            <span key={finding.code + finding.about.join()} className="block text-dim text-sm">
              {finding.seen}
            </span>
          ))}
        </dd>
      </dl>
      {sheet.due && (
        <Suspense>
          <ClosedSheet sheet={sheet} />
        </Suspense>
      )}
      <div className="mt-6 flex flex-wrap gap-3 print:hidden">
        <Link
          to="/record/$station"
          params={{ station: context.station.code }}
          search={{ visit: sheet.visit }}
          className="act act-next"
        >
          See it in the record
        </Link>
        {sheet.due && (
          <button type="button" className="act" onClick={() => print()}>
            Print the sheet
          </button>
        )}
        {sheet.took.includes('chlorophyll') && (
          <Link to="/bench" className="act">
            To the bench
          </Link>
        )}
        <button type="button" className="act" onClick={() => onStep('leave')}>
          Look it through
        </button>
        <Link to="/" className="act">
          To the stations
        </Link>
      </div>
      <div className="mt-6 hidden boat:block">
        <EntryLog sheet={sheet} who />
      </div>
    </>
  );
}

import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { longDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';

/** The sheets that labels are printed on; sizes are in index.css, by the same names. */
const SHEETS = {
  'a4-24': { name: 'A4, 24 labels of 70 × 37 mm', perPage: 24 },
  'a4-14': { name: 'A4, 14 labels of 99 × 38 mm', perPage: 14 },
  'letter-30': { name: 'Letter, 30 labels of 2⅝ × 1 in', perPage: 30 },
  'letter-10': { name: 'Letter, 10 labels of 4 × 2 in', perPage: 10 },
  'roll-62': { name: 'single labels, 62 × 29 mm', perPage: 1 },
} as const;
type Sheet = keyof typeof SHEETS;

/** Labels to be printed before the trip, dry and without the time; the rest is written in pencil. */
export function LabelsPage() {
  const { day, water } = useParams({ from: '/prepare/$day/$water/labels' });
  const labels = usePulled(() => api.GET('/api/outings/{day}/{water}/labels', { params: { path: { day, water } } }));
  const [sheet, setSheet] = useState<Sheet>('a4-24');
  const [begin, setBegin] = useState('1');
  const { perPage } = SHEETS[sheet];
  const skipped = Math.min(Math.max(Math.round(Number(begin)) || 1, 1), perPage) - 1;
  const places: (Schemas['Label'] | undefined)[] = [...Array<undefined>(skipped).fill(undefined), ...(labels.data ?? [])];
  const pages = Array.from({ length: Math.ceil(places.length / perPage) }, (_, i) =>
    places.slice(i * perPage, (i + 1) * perPage),
  );
  return (
    <PageFrame>
      <div className="print:hidden">
        <p className="text-sm">
          <Link to="/prepare/$day/$water" params={{ day, water }}>
            Back to the outing
          </Link>
        </p>
        <h1 className="text-2xl sm:text-3xl">Labels for {longDay(day)}</h1>
        <p className="mt-1 max-w-prose text-dim">
          Stick them on while the bottles are dry. Time, depth and initials follow in pencil. If the day slips, print them again:
          the number carries the date.
        </p>
        <Problem words={labels.problem} />
        <div className="flex flex-wrap items-end gap-x-6">
          <SelectField
            label="Sheet"
            value={sheet}
            options={Object.fromEntries(Object.entries(SHEETS).map(([key, { name }]) => [key, name])) as Record<Sheet, string>}
            onChange={setSheet}
          />
          {perPage > 1 && (
            <TextField
              label={`First free label, 1–${perPage}`}
              value={begin}
              inputMode="numeric"
              onChange={setBegin}
              className="w-44"
            />
          )}
          <button type="button" className="act act-next" disabled={!labels.data?.length} onClick={() => print()}>
            Print {labels.data?.length ?? ''} labels
          </button>
        </div>
        <p className="mt-2 text-dim text-sm">In the printer’s window: no margins, 100 %.</p>
      </div>
      {pages.map((page, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: pages have no other identity
        <ul key={i} className={`label-page label-page-${sheet}`} aria-label={`Page ${i + 1}`}>
          {page.map((label, j) => (
            <li key={label?.sample.number ?? j} className="label">
              {label && <LabelFace label={label} />}
            </li>
          ))}
        </ul>
      ))}
    </PageFrame>
  );
}

function LabelFace({ label: { sample, qr } }: { label: Schemas['Label'] }) {
  const { type } = sample;
  return (
    <>
      <svg viewBox={`0 0 ${qr.size} ${qr.size}`} className="label-code" role="img" aria-label={`QR code of ${sample.number}`}>
        <path d={qr.path} fill="#000" />
      </svg>
      <div className="label-text">
        <b>
          {sample.water}, {sample.district}
        </b>
        <span>
          {sample.station} · {longDay(sample.day)} · time ____
        </span>
        <span>
          {sample.depth} {sample.depthOpen ? '______' : ''} · by ____
        </span>
        <span>
          <b>{type.measures}</b>
          {type.added ? ` · ${type.added.words}` : ''}
        </span>
        {type.labelAlso.filter((also) => also !== 'interval' && also !== 'drops').length > 0 && (
          <span>
            {type.labelAlso
              .filter((also) => also !== 'interval' && also !== 'drops')
              .map((also) => `${also} ____`)
              .join(' ')}
          </span>
        )}
        <span className="label-number">
          {sample.number}
          {sample.replicate > 0 && <b> REP</b>}
        </span>
      </div>
    </>
  );
}

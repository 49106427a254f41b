import { useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { write } from '../field/entries';
import { AskLength } from '../ui/AskLength';
import { Worked } from '../ui/Worked';
import { openOn } from '../water/now/worst';
import { WrittenMark } from '../water/WrittenMark';
import { CastForm } from './CastForm';
import { FillList } from './FillList';

/** One depth: how deep and why, how many casts, the sampler lowered, the bottles filled. */
export function PlaceCard({ sheet, place, open }: { sheet: FieldSheet; place: Schemas['SheetPlace']; open: boolean }) {
  const [moving, setMoving] = useState(false);
  const [again, setAgain] = useState(false);
  const closed = sheet.state === 'closed';
  const entries = [...place.casts, ...place.bottles].flatMap(({ entry }) => (entry ? [entry] : []));
  const clear = entries.every((entry) => !openOn(sheet.findings, entry));
  const good = place.casts.filter((cast) => cast.good);
  const ready = !place.sampler || good.length > 0;
  const casting =
    !closed &&
    place.sampler &&
    place.depthM != null &&
    (open || again) &&
    (good.length < Math.max(1, place.castsNeeded) || again) &&
    !place.done;
  return (
    <section className="mt-5 border-rule border-t pt-3" aria-label={place.title}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="text-xl">
          {place.done && clear && <span className="mr-2 text-reed">✓</span>}
          {place.title}
        </h3>
        {place.text && (
          <p>
            <span className="text-dim text-sm">
              {place.sampler ? `${sheet.line ? `line ${sheet.line.code}` : 'line'} at ` : ''}
            </span>
            <Worked working={place.working} className="font-bold text-3xl">
              {place.sampler ? place.markText : place.text}
            </Worked>
          </p>
        )}
      </div>
      {place.waits && <p className="text-dim">{place.waits[0]?.toUpperCase() + place.waits.slice(1)}.</p>}
      <p className="mt-0.5 text-dim text-sm">
        {[
          place.budget,
          place.sampler && place.messengerS != null ? `the messenger takes about ${place.messengerS} s` : null,
          place.sampler && place.text !== place.markText ? `true depth ${place.text}` : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {place.casts.length > 0 && (
        <div className="mt-2 border-rule border-t">
          {place.casts.map((cast) => (
            <WrittenMark
              key={cast.entry}
              visit={sheet.visit}
              entry={cast.entry}
              label={cast.text}
              text={cast.good ? '✓' : 'again'}
            />
          ))}
        </div>
      )}
      {moving && place.mark && (
        <div className="mt-2 border border-rule bg-sheet p-3">
          <AskLength
            question="Close it at which depth?"
            hint="It stays out of the zone above the bottom."
            unit={place.mark.unit ?? 'm'}
            onGiven={async (written) => {
              await write({
                visit: sheet.visit,
                kind: 'bottle-depth',
                body: { place: place.place, depth: { written, unit: place.mark?.unit ?? 'm' } },
              });
              setMoving(false);
            }}
          />
        </div>
      )}
      {casting && <CastForm sheet={sheet} place={place} onWritten={() => setAgain(false)} />}
      {ready && (place.depthM != null || !place.sampler) && <FillList sheet={sheet} place={place} />}
      {!closed && place.depthM != null && (
        <div className="mt-1 flex flex-wrap gap-x-4">
          {place.sampler && !casting && (
            <button type="button" className="act-quiet" onClick={() => setAgain(true)}>
              {place.casts.length === 0 ? 'lower the sampler here now' : 'one more cast'}
            </button>
          )}
          <button type="button" className="act-quiet" aria-expanded={moving} onClick={() => setMoving(!moving)}>
            {moving ? 'leave the depth as it is' : 'move the depth'}
          </button>
        </div>
      )}
    </section>
  );
}

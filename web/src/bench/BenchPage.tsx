import { Link } from '@tanstack/react-router';
import type { Schemas } from '../api/client';
import { compute } from '../field/core';
import { writeAshore } from '../field/entries';
import { type LedgerSample, useClocks, useLedger } from '../field/ledger';
import { SampleFindings } from '../ledger/SampleFindings';
import { SampleName } from '../ledger/SampleName';
import { shortDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { since } from '../ui/since';
import { useNow } from '../ui/useNow';

/** Bottles whose water is to go through a filter, oldest first, and filters that are under way. */
export function BenchPage() {
  const { samples, pending, door } = useLedger();
  const waiting = (samples ?? []).filter(({ toFilter }) => toFilter);
  const toCount = (samples ?? []).filter(({ bench }) => bench);
  const clocks = useClocks(waiting, door);
  const now = useNow();
  const filters = (samples ?? []).filter(({ filter }) => filter && filter.next !== 'done');
  // A visit belongs to the bench while it has water to filter, or a filter that is not in the freezer.
  const visits = [...new Set([...waiting, ...filters.filter(begun)].map(({ visit }) => visit))]
    .map((visit) => ({
      visit,
      bottles: waiting.filter((bottle) => bottle.visit === visit),
      filters: (samples ?? []).filter((sample) => sample.visit === visit && sample.filter),
    }))
    .toSorted((a, b) => collected(a).localeCompare(collected(b)));
  return (
    <PageFrame>
      <h1 className="text-2xl sm:text-3xl">{visits.length > 0 ? 'Water waits to be filtered' : 'At the bench'}</h1>
      <p className="mt-1 max-w-prose text-dim">
        The same day, indoors, out of direct sun. Tweezers, never fingers. Everything here works with no signal.
      </p>
      {samples && visits.length === 0 && (
        <p className="mt-6 max-w-prose border border-rule bg-sheet p-4">
          Nothing waits to be filtered. Chlorophyll bottles that are filled on the water come here by themselves; what is filtered
          stands in the <Link to="/ledger">ledger</Link>.
        </p>
      )}
      {visits.map(({ visit, bottles, filters: own }, i) => (
        <VisitAtBench
          key={visit}
          bottles={bottles}
          filters={own}
          clocks={clocks ?? []}
          now={now}
          first={i === 0}
          unsent={pending.has(visit)}
        />
      ))}
      {toCount.length > 0 && (
        <section className="mt-6 border-ink border-t-[1.5px] pt-4" aria-labelledby="to-count">
          <h2 id="to-count" className="text-xl">
            Waits to be counted
          </h2>
          <ul className="mt-1">
            {toCount.map((sample) => (
              <li key={sample.visit + sample.number} className="flex flex-wrap items-center gap-x-5 border-rule border-b py-1.5">
                <p className="min-w-0 flex-1">
                  <span className="num font-bold">{sample.number}</span>
                  <span className="block text-dim text-sm">
                    {sample.water}, {sample.station} · {shortDay(sample.day)} · {sample.container}
                    {sample.depth && ` · ${sample.depth}`}
                  </span>
                </p>
                <Link
                  to="/visit/$visit"
                  params={{ visit: sample.visit }}
                  search={{ step: sample.bench ?? '' }}
                  className={`act ${visits.length === 0 && sample === toCount[0] ? 'act-next' : ''}`}
                  aria-label={`Count ${sample.number}`}
                >
                  Count
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </PageFrame>
  );
}

function begun({ filter }: LedgerSample): boolean {
  return filter !== null && filter !== undefined && filter.next !== 'begin' && filter.next !== 'done';
}

function collected({ bottles, filters }: { bottles: LedgerSample[]; filters: LedgerSample[] }): string {
  return [...bottles, ...filters].map(({ collectedAt }) => collectedAt ?? '').find(Boolean) ?? '';
}

const STATES: Record<Schemas['FilterStep'], string> = {
  begin: 'still to do',
  disc: 'begun',
  rinse: 'begun',
  fills: 'being filtered',
  label: 'in its vial, label to write',
  store: 'labelled, to the freezer',
  done: 'done',
};

function VisitAtBench({
  bottles,
  filters,
  clocks,
  now,
  first,
  unsent,
}: {
  bottles: LedgerSample[];
  filters: LedgerSample[];
  clocks: Schemas['SampleClock'][];
  now: string;
  first: boolean;
  unsent: boolean;
}) {
  const any = bottles[0] ?? filters[0];
  if (!any) {
    return null;
  }
  const clock = clocks.find(({ number, visit }) => visit === any.visit && bottles.some((bottle) => bottle.number === number));
  const next = filters.find(({ filter }) => filter && filter.next !== 'done');
  return (
    <section className="mt-6 border-ink border-t-[1.5px] pt-4" aria-label={`${any.water}, ${shortDay(any.day)}`}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="text-xl">
          {any.water}, {any.station}
        </h2>
        {clock && any.collectedAt && (
          <p className={clock.state === 'calm' ? 'text-dim' : clock.state === 'soon' ? 'text-buoy' : 'font-bold text-madder'}>
            <span aria-hidden="true">{clock.state === 'calm' ? '○ ' : clock.state === 'soon' ? '◐ ' : '● '}</span>
            <b className="num">{since(any.collectedAt, now)}</b> since collection, {clock.text}
          </p>
        )}
      </div>
      <p className="text-dim text-sm">
        {shortDay(any.day)} · {any.depth} · {any.district}
        {unsent && ' · on this device only'}
      </p>
      {clock?.finding && <SampleFindings sample={{ visit: any.visit, findings: [clock.finding] }} mayAnswer={false} />}
      <ul className="mt-3 border-rule border-t">
        {filters.map((filter) => (
          <li key={filter.number} className="grid grid-cols-[1fr_auto] items-center gap-x-4 border-rule border-b py-2.5">
            <div className="min-w-0">
              <p>
                <SampleName sample={filter} />
              </p>
              <p className="text-dim text-sm">
                {filter.filter && STATES[filter.filter.next]}
                {filter.volumeMl != null && `, ${filter.filter?.totalText}`}
                {filter.filter?.next === 'done' && filter.spot ? `, ${filter.spot}` : ''}
              </p>
            </div>
            {filter.filter?.next === 'done' ? (
              <span className="text-reed">✓ frozen</span>
            ) : (
              <Link
                to="/bench/$visit/$sample"
                params={{ visit: filter.visit, sample: filter.number }}
                className={`act ${filter === next && first ? 'act-next' : ''}`}
                aria-label={`${filter.filter?.next === 'begin' ? 'Filter' : 'Go on with'} ${filter.number}`}
              >
                {filter.filter?.next === 'begin' ? 'Filter' : 'Go on'}
              </Link>
            )}
          </li>
        ))}
      </ul>
      {bottles.length > 0 && <MoreFilters filters={filters} all={[...bottles, ...filters]} />}
    </section>
  );
}

/** A filter beside the plan: a second one where the first clogged, or a blank. */
function MoreFilters({ filters, all }: { filters: LedgerSample[]; all: LedgerSample[] }) {
  const of = filters.find(({ kin }) => !kin);
  if (!of) {
    return null;
  }
  const add = async (kin: 'replicate' | 'blank') => {
    const { number } = await compute('new-sample-number', {
      of: of.number,
      kin,
      type: of.type,
      taken: all.map((sample) => sample.number),
    });
    if (number) {
      await writeAshore({ visit: of.visit, kind: 'sample-added', body: { sample: number, type: of.type, kin, of: of.number } });
    }
  };
  return (
    <p className="mt-1 flex flex-wrap gap-x-4">
      <button type="button" className="act-quiet" onClick={() => void add('replicate')}>
        one more filter
      </button>
      <button type="button" className="act-quiet" onClick={() => void add('blank')}>
        a blank, of lab water
      </button>
    </p>
  );
}

import { Link, useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { nowLocal } from '../field/clock';
import { type LedgerSample, useClocks, useLedger } from '../field/ledger';
import { useSession } from '../people/session';
import { dayAndTime, shortDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { toggled } from '../ui/toggled';
import { ClockMark } from './ClockMark';
import { FindSample } from './FindSample';
import { LaboratoryDays } from './LaboratoryDays';
import { Lose } from './Lose';
import { Manifests } from './Manifests';
import { PutAway } from './PutAway';
import { LEDGER_PLACES, type LedgerPlace, meant, PLACE_NAMES, shelfOf } from './places';
import { SampleName } from './SampleName';

const MOST_ENDED = 100;

/** Every sample that exists, and what must move next. */
export function LedgerPage() {
  const { known } = useSession();
  const { samples, pending, door } = useLedger();
  const [chosenPlace, setPlace] = useState<LedgerPlace>();
  const [typed, setTyped] = useState('');
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const existing = (samples ?? []).filter(({ whereabouts }) => whereabouts !== 'planned');
  const clocks = useClocks(samples && existing, door);
  const found = existing.filter((sample) => meant(sample, typed));
  const counts = Object.fromEntries(
    LEDGER_PLACES.map((place) => [place, found.filter((sample) => sample.whereabouts === place).length]),
  ) as Record<LedgerPlace, number>;
  const first = known?.works ? 'hand' : 'road';
  const place = chosenPlace ?? (counts[first] > 0 ? first : (LEDGER_PLACES.find((one) => counts[one] > 0) ?? first));
  const clockOf = new Map((clocks ?? []).map((clock, i) => [keyOf(clock), { clock, order: i }]));
  const here = found
    .filter((sample) => sample.whereabouts === place)
    .toSorted((a, b) =>
      place === 'ended'
        ? b.day.localeCompare(a.day) || a.number.localeCompare(b.number)
        : (clockOf.get(keyOf(a))?.order ?? 0) - (clockOf.get(keyOf(b))?.order ?? 0),
    );
  const shelves = place === 'hand' ? [...new Set(here.map(shelfOf))] : [''];
  const chosen = here.filter((sample) => picked.has(keyOf(sample)));
  const inHands = existing.filter(({ whereabouts }) => whereabouts === 'hand');
  const next = inHands
    .map((sample) => ({ sample, found: clockOf.get(keyOf(sample)) }))
    .filter(({ found }) => found && found.clock.state !== 'none')
    .toSorted((a, b) => (a.found?.order ?? 0) - (b.found?.order ?? 0))[0];
  return (
    <PageFrame width="table">
      <h1 className="text-2xl sm:text-3xl">
        {known?.works === false ? laboratoryHeadline(counts) : headline(counts, next?.sample, next?.found?.clock)}
      </h1>
      {door && <Door door={door} samples={inHands} />}
      <div className="mt-4 flex flex-wrap items-start gap-x-6 gap-y-2">
        <fieldset className="min-w-0">
          <legend className="sr-only">Where</legend>
          <div className="flex flex-wrap gap-1.5">
            {LEDGER_PLACES.map((one) => (
              <label
                key={one}
                className={`flex min-h-(--target) cursor-pointer items-center gap-2 rounded-md border-[1.5px] px-3 has-focus-visible:outline-3 has-focus-visible:outline-slate ${one === place ? 'border-ink bg-ink font-bold text-paper' : 'border-dim bg-sheet'}`}
              >
                <input
                  type="radio"
                  name="place"
                  className="sr-only"
                  checked={one === place}
                  onChange={() => {
                    setPlace(one);
                    setPicked(new Set());
                  }}
                />
                {one === 'hand' && known?.works === false ? 'With the samplers' : PLACE_NAMES[one]}{' '}
                <span className="num">{counts[one]}</span>
              </label>
            ))}
          </div>
        </fieldset>
        <FindSample typed={typed} onType={setTyped} />
      </div>
      {chosen.length > 0 && <Batch samples={chosen} onDone={() => setPicked(new Set())} />}
      {samples && here.length === 0 && (
        <p className="mt-6 max-w-prose border border-rule bg-sheet p-4">
          {typed
            ? `Nothing here is called “${typed}”.`
            : existing.length === 0
              ? 'No sample exists yet. What is filled on the water, and each filter at the bench, stands here by itself.'
              : `Nothing is ${PLACE_NAMES[place].toLowerCase()}.`}
        </p>
      )}
      {shelves.map((shelf) => (
        <section key={shelf} className="mt-5" aria-label={shelf || PLACE_NAMES[place]}>
          {shelf && here.length > 0 && <h2 className="caps border-ink border-b-[1.5px] pb-1">{shelf}</h2>}
          <ul className={shelf ? '' : here.length > 0 ? 'border-ink border-t-[1.5px]' : ''}>
            {here
              .filter((sample) => place !== 'hand' || shelfOf(sample) === shelf)
              .slice(0, place === 'ended' ? MOST_ENDED : undefined)
              .map((sample) => (
                <Row
                  key={keyOf(sample)}
                  sample={sample}
                  clock={clockOf.get(keyOf(sample))?.clock}
                  unsent={pending.has(sample.visit)}
                  picked={picked.has(keyOf(sample))}
                  onPick={place === 'hand' && known?.works ? (on) => setPicked(toggled(picked, keyOf(sample), on)) : undefined}
                />
              ))}
          </ul>
        </section>
      ))}
      {place === 'ended' && here.length > MOST_ENDED && (
        <p className="mt-2 text-dim">
          The newest {MOST_ENDED} of {here.length}; type to find others.
        </p>
      )}
      {place === 'hand' && known?.works && chosen.length === 0 && here.length > 0 && (
        <div className="mt-5 flex flex-wrap gap-2.5">
          <Link to="/ledger/hand-over" className="act act-next">
            Hand over…
          </Link>
          <button type="button" className="act" onClick={() => setPicked(new Set(here.map(keyOf)))}>
            Pick all {here.length}
          </button>
        </div>
      )}
      <Manifests />
    </PageFrame>
  );
}

/** What a row is told from others by: two visits of one day may share a number. */
function keyOf({ visit, number }: { visit: string; number: string }): string {
  return `${visit} ${number}`;
}

function headline(
  counts: Record<LedgerPlace, number>,
  next: LedgerSample | undefined,
  clock: Schemas['SampleClock'] | undefined,
): string {
  if (counts.hand === 0) {
    return counts.road + counts.lab > 0 ? 'Nothing waits in our hands' : 'The ledger';
  }
  const many = counts.hand === 1 ? '1 sample is' : `${counts.hand} samples are`;
  return next && clock ? `${many} in our hands; next: ${next.measures} of ${next.water}, ${clock.text}` : `${many} in our hands`;
}

/** What a laboratory, or a reader, wants to know first. */
function laboratoryHeadline({ road, lab }: Record<LedgerPlace, number>): string {
  return road > 0
    ? `${road} ${road === 1 ? 'sample is' : 'samples are'} on the road`
    : lab > 0
      ? `${lab} ${lab === 1 ? 'sample waits' : 'samples wait'} to be measured`
      : 'Nothing is on the road and nothing waits';
}

/** When the laboratory opens next, and its calendar. */
function Door({ door, samples }: { door: Schemas['LabDoor']; samples: LedgerSample[] }) {
  const now = nowLocal();
  const open = door.open.find(({ until }) => Date.parse(until) > Date.parse(now));
  const isOpen = open && Date.parse(open.from) <= Date.parse(now);
  return (
    <>
      <p className="mt-1 text-dim">
        {door.name}
        {open
          ? isOpen
            ? ` takes samples in until ${dayAndTime(open.until).slice(4)} today`
            : `: next open ${dayAndTime(open.from)}`
          : ' has no open day in the next weeks'}
        .
      </p>
      <LaboratoryDays door={door} samples={samples} now={now} />
    </>
  );
}

function Row({
  sample,
  clock,
  unsent,
  picked,
  onPick,
}: {
  sample: LedgerSample;
  clock: Schemas['SampleClock'] | undefined;
  unsent: boolean;
  picked: boolean;
  onPick: ((on: boolean) => void) | undefined;
}) {
  const open = sample.findings.filter(({ level, kept }) => level !== 'note' && kept == null);
  const result = sample.results.find(({ stands }) => stands);
  return (
    <li className="grid grid-cols-[auto_1fr] items-center gap-x-3 border-rule border-b py-1.5 sm:grid-cols-[auto_minmax(0,18rem)_minmax(0,1fr)_auto]">
      {onPick ? (
        <label className="flex min-h-(--target) items-center px-1">
          <input
            type="checkbox"
            className="size-5 accent-(--ink)"
            checked={picked}
            onChange={(event) => onPick(event.target.checked)}
          />
          <span className="sr-only">Pick {sample.number}</span>
        </label>
      ) : (
        <span />
      )}
      <div className="min-w-0">
        <Link
          to="/ledger/sample/$number"
          params={{ number: sample.number }}
          className="inline-flex min-h-(--target) items-center gap-1.5 text-ink decoration-1"
        >
          <SampleName sample={sample} />
        </Link>
      </div>
      <p className="min-w-0 text-sm max-sm:col-start-2">
        {sample.water}, {shortDay(sample.day)} · {sample.measures}
        <span className="block text-dim">
          {[sample.depth, sample.volumeMl != null && `${sample.volumeMl} mL`, sample.spot, unsent && 'on this device only']
            .filter(Boolean)
            .join(' · ')}
        </span>
      </p>
      <p className="text-sm max-sm:col-start-2 sm:max-w-80 sm:text-right">
        {result && <span className="num block text-slate">{result.text}</span>}
        <ClockMark clock={clock} />
        {!clock || clock.state === 'none' ? <span className="text-dim">{sample.stateText}</span> : null}
        {open.length > 0 && (
          <span className="block text-buoy">
            <span aria-hidden="true">▲ </span>
            {open.length === 1 ? open[0]?.seen : `${open.length} findings`}
          </span>
        )}
      </p>
    </li>
  );
}

/** What can be done with the picked samples at once. */
function Batch({ samples, onDone }: { samples: LedgerSample[]; onDone(): void }) {
  const navigate = useNavigate();
  const [asking, setAsking] = useState<'store' | 'lost'>();
  return (
    <section className="sticky top-0 z-10 mt-4 border-[1.5px] border-ink bg-paper p-3" aria-label="The picked samples">
      <div className="flex flex-wrap items-center gap-2.5">
        <b>{samples.length} picked</b>
        <button
          type="button"
          className="act act-next"
          onClick={() => void navigate({ to: '/ledger/hand-over', search: { pick: samples.map(({ number }) => number) } })}
        >
          Hand over…
        </button>
        <button type="button" className="act" onClick={() => setAsking('store')}>
          Put away…
        </button>
        <button type="button" className="act" onClick={() => setAsking('lost')}>
          Lost…
        </button>
        <button type="button" className="act-quiet" onClick={onDone}>
          pick none
        </button>
      </div>
      {asking === 'store' && <PutAway samples={samples} onDone={onDone} />}
      {asking === 'lost' && <Lose samples={samples} onDone={onDone} onCancel={() => setAsking(undefined)} />}
    </section>
  );
}

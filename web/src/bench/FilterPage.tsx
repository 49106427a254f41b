import { Link, useParams } from '@tanstack/react-router';
import { type LedgerSample, useVisitSamples, type VisitSamples } from '../field/ledger';
import { SampleFindings } from '../ledger/SampleFindings';
import { SampleName } from '../ledger/SampleName';
import { shortDay } from '../ui/days';
import { since } from '../ui/since';
import { useNow } from '../ui/useNow';
import { FilterBegin } from './FilterBegin';
import { FilterFills } from './FilterFills';
import { FilterDisc, FilterRinse } from './FilterReady';
import { FilterDone, FilterLabel, FilterStore } from './FilterVial';

export interface FilterProps {
  sample: LedgerSample;
  run: NonNullable<LedgerSample['filter']>;
  all: VisitSamples;
}

const STEPS = ['begin', 'disc', 'rinse', 'fills', 'label', 'store'] as const;
const NAMES: Record<(typeof STEPS)[number], string> = {
  begin: 'Bottle',
  disc: 'Filter',
  rinse: 'Rinse',
  fills: 'Push',
  label: 'Label',
  store: 'Freezer',
};

/** One filter, from the bottle to the freezer, one question at a time. */
export function FilterPage() {
  const { visit, sample: number } = useParams({ from: '/bench/$visit/$sample' });
  const all = useVisitSamples(visit);
  const now = useNow();
  const sample = all?.samples.find((one) => one.number === number);
  if (all === undefined) {
    return <p className="p-6 text-dim">Opening the bench…</p>;
  }
  if (!all || !sample?.filter) {
    return (
      <div className="p-6">
        <h1 className="text-2xl">{number} is not on this device</h1>
        <p className="mt-2">
          Its visit was made on another device and there is no signal to fetch it. <Link to="/bench">To the bench</Link>
        </p>
      </div>
    );
  }
  const run = sample.filter;
  const bottle = all.samples.find((one) => one.number === run.answers.from);
  const place = run.next === 'done' ? STEPS.length : STEPS.indexOf(run.next);
  return (
    <div className="mx-auto w-full max-w-3xl px-4 pt-3 pb-10 sm:px-6 sm:pt-5">
      <p className="text-sm">
        <Link to="/bench">Bench</Link>
      </p>
      <h1 className="text-xl sm:text-2xl">
        <SampleName sample={sample} />
      </h1>
      <p className="text-dim text-sm">
        {sample.water} {sample.station}, {shortDay(sample.day)}, {sample.depth}
        {bottle?.collectedAt && `, ${since(bottle.collectedAt, now)} since collection`}
      </p>
      <ol className="mt-3 flex gap-1 text-xs sm:text-sm" aria-label="Steps of the filter">
        {STEPS.map((step, i) => (
          <li
            key={step}
            aria-current={i === place ? 'step' : undefined}
            className={`flex-1 border-t-4 pt-1 ${i < place ? 'border-reed text-reed' : i === place ? 'border-buoy font-bold text-ink' : 'border-rule text-dim'}`}
          >
            {i < place && <span className="sr-only">done: </span>}
            {NAMES[step]}
          </li>
        ))}
      </ol>
      <Step sample={sample} run={run} all={all} />
      <SampleFindings sample={sample} only={['filtering', 'label', 'storing']} />
    </div>
  );
}

function Step(props: FilterProps) {
  switch (props.run.next) {
    case 'begin':
      return <FilterBegin {...props} />;
    case 'disc':
      return <FilterDisc {...props} />;
    case 'rinse':
      return <FilterRinse {...props} />;
    case 'fills':
      return <FilterFills {...props} />;
    case 'label':
      return <FilterLabel {...props} />;
    case 'store':
      return <FilterStore {...props} />;
    default:
      return <FilterDone {...props} />;
  }
}

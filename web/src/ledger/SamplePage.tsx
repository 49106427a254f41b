import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { compute } from '../field/core';
import { writeAshore } from '../field/entries';
import { type LedgerSample, useClocks, useLedger, useVisitSamples } from '../field/ledger';
import { TypeResult } from '../laboratory/TypeResult';
import { useSession } from '../people/session';
import { clockTime, plainDay, shortDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';
import { Reason } from '../ui/Reason';
import { Worked } from '../ui/Worked';
import { ClockMark } from './ClockMark';
import { Lose } from './Lose';
import { PutAway } from './PutAway';
import { SampleFindings } from './SampleFindings';
import { SampleFlow } from './SampleFlow';
import { SampleName } from './SampleName';

/** One sample, from the plan to the report: what happened to it, who did it, what came of it. */
export function SamplePage() {
  const { number } = useParams({ from: '/ledger/sample/$number' });
  const here = useLedger().samples?.filter((sample) => sample.number === number);
  return (
    <PageFrame>
      <p className="text-sm">
        <Link to="/ledger">Ledger</Link>
      </p>
      {here?.length === 0 ? <Elsewhere number={number} /> : <Found number={number} samples={here} />}
    </PageFrame>
  );
}

/** One that is not on this device. */
function Elsewhere({ number }: { number: string }) {
  const { data, problem } = usePulled(
    () => api.GET('/api/samples/{number}', { params: { path: { number } } }),
    ['sample', number],
  );
  return <Found number={number} samples={data ?? (problem ? [] : undefined)} />;
}

function Found({ number, samples: found }: { number: string; samples: LedgerSample[] | undefined }) {
  return (
    <>
      {found?.length === 0 && (
        <>
          <h1 className="text-2xl">No sample is called {number}</h1>
          <p className="mt-2 max-w-prose">
            Its boat may not have sent it yet, or it is of a water that you do not see. Look at the label once more.
          </p>
        </>
      )}
      {(found?.length ?? 0) > 1 && (
        <p className="mt-2 border-madder border-l-4 bg-sheet p-3" role="alert">
          <b>Two bottles are called {number}.</b> Results for it go to neither until one visit is struck or its label changed.
        </p>
      )}
      {found?.map((sample) => (
        <OneSample key={sample.visit} given={sample} />
      ))}
    </>
  );
}

function OneSample({ given }: { given: LedgerSample }) {
  const { known } = useSession();
  const folded = useVisitSamples(given.visit);
  const sample = folded?.samples.find(({ number }) => number === given.number) ?? given;
  const { door } = useLedger();
  const [clock] = useClocks([sample], door) ?? [];
  const kin = folded?.samples.filter(
    (other) =>
      other.number !== sample.number &&
      (other.of === sample.number ||
        other.number === sample.of ||
        other.number === sample.filter?.answers.from ||
        other.filter?.answers.from === sample.number),
  );
  return (
    <article className="mt-1 grid gap-x-10 gap-y-6 md:grid-cols-[minmax(0,1fr)_17rem]">
      <div className="min-w-0">
        <h1 className="text-2xl sm:text-3xl">
          <SampleName sample={sample} />
        </h1>
        <p className="text-dim">
          {sample.water}, {sample.district} · {sample.station} · {plainDay(sample.day)} · {sample.depth}
        </p>
        <p className="mt-1 text-lg">
          {sample.measures}, {sample.container}: <b>{sample.stateText}</b>
          {sample.spot && `, ${sample.spot}`}
          {sample.volumeMl != null && `, ${sample.volumeMl} mL filtered`}
        </p>
        <ClockMark clock={clock} />
        <SampleFindings
          sample={{ visit: sample.visit, findings: clock?.finding ? [clock.finding, ...sample.findings] : sample.findings }}
          mayAnswer={known?.works || known?.reports}
        />
        <SampleResults sample={sample} />
        {known?.reports && !['planned', 'labelled', 'lost', 'rejected', 'filtered'].includes(sample.state) && (
          <TypeResult sample={sample} />
        )}
        <section className="mt-6">
          <h2 className="caps">Its life</h2>
          {sample.life.length === 0 && <p className="mt-1 text-dim">Planned; nothing has happened yet.</p>}
          <ol className="mt-1 border-rule border-t">
            {sample.life.map((event) => (
              <LifeEvent key={event.entry + event.step} sample={sample} event={event} may={known?.works || known?.reports} />
            ))}
          </ol>
        </section>
        {kin && kin.length > 0 && (
          <section className="mt-6">
            <h2 className="caps">Belongs together</h2>
            <ul className="mt-1 border-rule border-t">
              {kin.map((other) => (
                <li key={other.number} className="border-rule border-b">
                  <Link
                    to="/ledger/sample/$number"
                    params={{ number: other.number }}
                    className="flex min-h-11 flex-wrap items-center gap-x-4 text-ink decoration-1"
                  >
                    <span className="num">{other.number}</span>
                    <span className="text-dim text-sm">{relation(sample, other)}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <aside className="min-w-0">
        <Code number={sample.number} />
        {known?.works && <Actions sample={sample} all={folded?.samples ?? []} />}
        {sample.manifest && (
          <Link to="/ledger/manifest/$id" params={{ id: sample.manifest }} className="act mt-3 w-full">
            Its manifest
          </Link>
        )}
        <Link to="/visit/$visit" params={{ visit: sample.visit }} className="act mt-3 w-full">
          Its visit
        </Link>
      </aside>
    </article>
  );
}

function relation(sample: LedgerSample, other: LedgerSample): string {
  if (other.filter?.answers.from === sample.number) {
    return 'filter of its water';
  }
  if (sample.filter?.answers.from === other.number) {
    return 'the bottle that its water came from';
  }
  const kin = other.of === sample.number ? other.kin : sample.kin;
  return other.of === sample.number ? `its ${kin}` : `it is its ${kin}`;
}

function SampleResults({ sample }: { sample: LedgerSample }) {
  if (sample.results.length === 0) {
    return null;
  }
  return (
    <section className="mt-6">
      <h2 className="caps">Results</h2>
      <table className="mt-1 w-full border-rule border-t text-left">
        <thead className="sr-only">
          <tr>
            <th>Analyte</th>
            <th>Value</th>
            <th>Said beside it</th>
          </tr>
        </thead>
        <tbody>
          {sample.results.map((result) => (
            <tr key={result.entry + result.analyte} className="border-rule border-b align-baseline">
              <th scope="row" className="py-1.5 pr-4 font-normal">
                {result.name}
              </th>
              <td className={`num py-1.5 pr-4 text-lg ${result.stands ? 'font-bold' : 'text-dim'}`}>
                {result.working ? <Worked working={result.working}>{result.text}</Worked> : result.text}
              </td>
              <td className="py-1.5 text-dim text-sm">
                {[
                  !result.final && 'not released yet',
                  !result.stands && 'does not count',
                  result.qualifier && result.qualifier !== 'below' && result.qualifier,
                  result.conversion,
                  result.method,
                  result.on && shortDay(result.on),
                ]
                  .filter(Boolean)
                  .join(' · ')}
                {result.load?.text && (
                  <>
                    {' · load '}
                    <Worked working={result.load.working}>{result.load.text}</Worked>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function LifeEvent({ sample, event, may }: { sample: LedgerSample; event: Schemas['SampleEvent']; may: boolean | undefined }) {
  const [striking, setStriking] = useState(false);
  return (
    <li className="border-rule border-b py-2">
      <div className="flex items-baseline gap-x-4">
        <span className="num w-36 shrink-0 text-dim text-sm max-sm:w-20">
          {shortDay(event.at)} {clockTime(event.at)}
        </span>
        <span className="min-w-0 flex-1">
          {event.text}
          <span className="block text-dim text-sm">
            {event.by}
            {event.temperatureC && `, ${event.temperatureC} °C`}
          </span>
        </span>
        {may && (
          <button
            type="button"
            className="act-quiet shrink-0"
            aria-label={`Strike: ${event.text}`}
            onClick={() => setStriking(!striking)}
          >
            strike
          </button>
        )}
      </div>
      {striking && (
        <Reason
          title="Why is it struck?"
          suggestions={['another sample', 'written by mistake', 'found again']}
          confirm="Strike it"
          onGiven={(why) => {
            setStriking(false);
            void writeAshore({ visit: sample.visit, kind: 'strike', body: {}, strikes: event.entry, why });
          }}
          onCancel={() => setStriking(false)}
        />
      )}
    </li>
  );
}

/** The number as a code, to be held before a camera. */
function Code({ number }: { number: string }) {
  const { data: code } = usePulled(
    () => api.GET('/api/samples/{number}/code', { params: { path: { number } } }),
    ['sample-code', number],
  );
  return code ? (
    <svg
      viewBox={`0 0 ${code.size} ${code.size}`}
      className="size-32 bg-white p-2"
      role="img"
      aria-label={`QR code of ${number}`}
    >
      <path d={code.path} fill="#000" />
    </svg>
  ) : null;
}

/** What can be done with it now. */
function Actions({ sample, all }: { sample: LedgerSample; all: LedgerSample[] }) {
  const [asking, setAsking] = useState<'store' | 'lost'>();
  const inHands = sample.whereabouts === 'hand';
  async function add(kin: NonNullable<Schemas['SampleKin']>, type: string) {
    const { number } = await compute('new-sample-number', { of: sample.number, kin, type, taken: all.map((one) => one.number) });
    if (number) {
      await writeAshore({ visit: sample.visit, kind: 'sample-added', body: { sample: number, type, kin, of: sample.number } });
    }
  }
  return (
    <div className="mt-3 grid gap-3">
      {sample.filter && sample.filter.next !== 'done' && sample.state !== 'lost' && (
        <Link to="/bench/$visit/$sample" params={{ visit: sample.visit, sample: sample.number }} className="act act-next">
          {sample.filter.next === 'begin' ? 'Filter it' : 'Go on at the bench'}
        </Link>
      )}
      {inHands && (
        <>
          <Link to="/ledger/hand-over" search={{ pick: [sample.number] }} className="act">
            Hand it over…
          </Link>
          <button type="button" className="act" onClick={() => setAsking('store')}>
            Put it away…
          </button>
        </>
      )}
      {asking === 'store' && <PutAway samples={[sample]} onDone={() => setAsking(undefined)} />}
      {sample.state !== 'planned' && sample.state !== 'lost' && sample.state !== 'rejected' && (
        <details>
          <summary className="act-quiet flex items-center">more</summary>
          <div className="grid gap-2 pt-2">
            <button type="button" className="act" onClick={() => void add('replicate', sample.type)}>
              Add a replicate
            </button>
            <button type="button" className="act" onClick={() => void add('blank', sample.type)}>
              Add a blank
            </button>
            {sample.type === 'lake-container' &&
              (['layer-plain', 'solids', 'nutrients-dissolved'] as const).map((type) => (
                <button key={type} type="button" className="act" onClick={() => void add('split', type)}>
                  Split off: {type.replace('-', ' ')}
                </button>
              ))}
            <SampleFlow sample={sample} />
            {sample.state !== 'filtered' && sample.state !== 'reported' && (
              <button type="button" className="act" onClick={() => setAsking('lost')}>
                Lost…
              </button>
            )}
          </div>
        </details>
      )}
      {asking === 'lost' && <Lose samples={[sample]} onDone={() => setAsking(undefined)} onCancel={() => setAsking(undefined)} />}
    </div>
  );
}

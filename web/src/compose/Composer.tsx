import { useNavigate } from '@tanstack/react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { useBox } from '../field/boxes';
import { writeSetting } from '../field/store';
import { useComputed } from '../field/useComputed';
import { Beside } from '../setup/findings';
import { Check } from '../ui/Check';
import { clockTime, plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { ticked } from '../ui/toggled';
import { type Composed, moved, newStep } from './composed';
import { LinesField } from './LinesField';
import { NumberBox } from './NumberBox';
import { Containers, RepeatAndParts, Sums } from './Others';
import { Preview } from './Preview';
import { forgetPractice, placeOfPractice, practised } from './practice';
import { StepEditor } from './StepEditor';

interface Props {
  given: Composed;
  programme: Schemas['Programme'];
  samples: readonly Schemas['SampleType'][];
  /** Takes it into the programme. */
  onTake(protocol: Composed): void;
  onCancel(): void;
}

/** What is being composed is kept on the device until it is taken over or given up: a page that closes loses nothing. */
export const DRAFT = 'composed';

/** A protocol of one's own, composed of the parts that all protocols are made of. What is missing is said where it is missing. */
export function Composer({ given, programme, samples, onTake, onCancel }: Props) {
  const [protocol, setProtocol] = useState(given);
  const [problem, setProblem] = useState('');
  const navigate = useNavigate();
  const { data, error, stale } = useComputed('compose', { protocol });
  const ranks = useBox('composed.rank')?.choices ?? [];
  const places = useBox('station.kind')?.choices ?? [];
  const earlier = useLiveQuery(practised, []) ?? [];
  useEffect(() => {
    void writeSetting(DRAFT, { programme: programme.code, protocol });
  }, [programme.code, protocol]);

  const coded = data && !stale ? data.protocol : protocol;
  const findings = data?.findings ?? [];
  const ready = data?.description != null && !stale;
  const change = (part: Partial<Composed>) => setProtocol((before) => ({ ...before, ...part }));
  // What refers to a step or box refers to its code: once something does, the codes that Core gave are taken over.
  const settle = (part: Partial<Composed>) =>
    setProtocol((before) => ({ ...(data && !stale ? data.protocol : before), ...part }));

  async function practise() {
    if (!data) {
      return;
    }
    try {
      setProtocol(data.protocol);
      await writeSetting(DRAFT, { programme: programme.code, protocol: data.protocol });
      const station = await placeOfPractice(programme, data.protocol);
      await navigate({ to: '/start/$station', params: { station } });
    } catch (failed) {
      setProblem((failed as Error).message);
    }
  }

  const parts = { protocol, coded, findings };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (ready && data) {
          onTake(data.protocol);
        }
      }}
    >
      <p className="caps">{programme.name}</p>
      <h1 className="text-2xl sm:text-3xl">{protocol.title || 'A protocol of your own'}</h1>
      <div className="mt-2 grid gap-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div>
          <div className="grid gap-x-6 sm:grid-cols-2">
            <TextField label="Name" value={protocol.title} maxLength={60} onChange={(title) => change({ title })} />
            <SelectField
              label="When on a visit"
              value={String(protocol.rank)}
              options={Object.fromEntries(ranks.map(({ number, words }) => [String(number), words]))}
              onChange={(rank) => change({ rank: Number(rank) })}
              hint="What is clean comes before what stirs."
            />
          </div>
          <TextField
            label="What it is for"
            value={protocol.purpose}
            maxLength={300}
            onChange={(purpose) => change({ purpose })}
          />
          <Beside field="protocol" findings={findings} />
          <h2 className="mt-6 border-ink border-b-[1.5px] text-xl">Its steps</h2>
          <RepeatAndParts {...parts} onChange={change} />
          {protocol.steps.map((step, i) => (
            <StepEditor
              // biome-ignore lint/suspicious/noArrayIndexKey: steps are known by their place
              key={i}
              step={step}
              at={i}
              protocol={coded}
              coded={coded.steps[i]}
              findings={findings}
              onChange={(changed) => change({ steps: protocol.steps.with(i, changed) })}
              onRefer={(part) => coded.steps[i] && settle({ steps: coded.steps.with(i, { ...coded.steps[i], ...part }) })}
              onMove={(by) => change({ steps: moved(protocol.steps, i, by) })}
              onRemove={() => change({ steps: protocol.steps.filter((_, j) => j !== i) })}
            />
          ))}
          <button type="button" className="act mt-4" onClick={() => change({ steps: [...protocol.steps, newStep()] })}>
            Another step
          </button>
          <h2 className="mt-8 border-ink border-b-[1.5px] text-xl">What it works out</h2>
          <p className="mt-1 text-dim text-sm">Each number becomes a series of the station.</p>
          <Sums {...parts} onChange={settle} />
          <h2 className="mt-8 border-ink border-b-[1.5px] text-xl">What it fills</h2>
          <Containers {...parts} samples={samples} onChange={settle} />
          <h2 className="mt-8 border-ink border-b-[1.5px] text-xl">Where, with whom, with what</h2>
          <fieldset className="mt-3">
            <legend className="font-bold text-sm">It is done from</legend>
            <div className="flex flex-wrap gap-x-5">
              {places.map(({ code, words }) => (
                <Check
                  key={code}
                  checked={(protocol.places ?? []).some((place) => place === code)}
                  onCheck={(on) => change({ places: ticked(protocol.places, code as Schemas['StationKind'], on) })}
                >
                  {words}
                </Check>
              ))}
            </div>
            <p className="text-dim text-sm">None ticked: from anywhere.</p>
          </fieldset>
          <div className="grid gap-x-6 sm:grid-cols-2">
            <NumberBox
              label="People it needs"
              value={protocol.people ?? 1}
              onChange={(people) => change({ people: Math.max(1, Math.round(people ?? 1)) })}
            />
            <LinesField label="To be packed, one on each line" value={protocol.pack} onChange={(pack) => change({ pack })} />
          </div>
          <Check checked={protocol.stirs === true} onCheck={(stirs) => change({ stirs })}>
            it stirs the bottom: nothing clean is filled after it
          </Check>
        </div>
        <aside className="lg:sticky lg:top-4 lg:self-start" aria-label="As a visit will ask it">
          <p className="caps">As a visit will ask it</p>
          <Problem words={error ?? problem} />
          {data?.description ? (
            <Preview description={data.description} />
          ) : (
            data && (
              <>
                <p className="mt-1">
                  Not yet: {findings.length === 1 ? 'one thing is' : `${findings.length} things are`} to be put right.
                </p>
                <ul className="mt-1 list-disc pl-5 text-sm">
                  {findings.map(({ field, finding }) => (
                    <li key={field + finding.code + finding.seen}>{finding.seen}</li>
                  ))}
                </ul>
              </>
            )
          )}
          <div className="mt-4 flex flex-wrap gap-3">
            <button type="button" className="act" disabled={!ready} onClick={() => void practise()}>
              Try it in practice
            </button>
          </div>
          {earlier.length > 0 && (
            <div className="mt-3 text-sm">
              <p className="font-bold">Tried on this device</p>
              <ul>
                {earlier.slice(0, 5).map(({ visit, startedAt, closed }) => (
                  <li key={visit}>
                    <button
                      type="button"
                      className="act-quiet"
                      onClick={() => void navigate({ to: '/visit/$visit', params: { visit } })}
                    >
                      {plainDay(startedAt.slice(0, 10))}, {clockTime(startedAt)}
                      {closed ? '' : ', not ended'}
                    </button>
                  </li>
                ))}
              </ul>
              <button type="button" className="act-quiet" onClick={() => void forgetPractice()}>
                Forget what was tried
              </button>
            </div>
          )}
        </aside>
      </div>
      <div className="mt-6 flex flex-wrap gap-3">
        <button type="submit" className="act act-next" disabled={!ready}>
          Take it into the programme
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

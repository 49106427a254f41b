import { Link, useNavigate, useSearch } from '@tanstack/react-router';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { nowLocal } from '../field/clock';
import { compute } from '../field/core';
import { newId, writeAshore } from '../field/entries';
import { type LabDoor, type LedgerSample, useLedger } from '../field/ledger';
import { useComputed } from '../field/useComputed';
import { useSession } from '../people/session';
import { Check } from '../ui/Check';
import { ChoiceBox } from '../ui/ChoiceBox';
import { shortDay } from '../ui/days';
import { FindingNote } from '../ui/FindingNote';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { toggled } from '../ui/toggled';
import { byVisit } from './byVisit';
import { SampleName } from './SampleName';

interface Look {
  cold?: boolean;
  labelSame?: boolean;
  differs?: string;
}

/** Picks what can go, has each looked at, says what cannot go and why, and makes the manifest. */
export function HandOverPage() {
  const { samples, door } = useLedger();
  const { pick } = useSearch({ from: '/ledger/hand-over' });
  const inHands = (samples ?? []).filter((sample) => sample.whereabouts === 'hand' && !sample.toFilter);
  // A bottle that was never filled is on no list of what leaves, whoever picked it.
  const asked = pick
    ? (samples ?? []).filter(({ number, whereabouts }) => pick.includes(number) && whereabouts !== 'planned')
    : inHands;
  return (
    <PageFrame>
      <p className="text-sm">
        <Link to="/ledger">Ledger</Link>
      </p>
      <h1 className="text-2xl sm:text-3xl">Hand over</h1>
      {samples && asked.length === 0 && (
        <p className="mt-4 max-w-prose border border-rule bg-sheet p-4">
          Nothing is in our hands that could go. Filled bottles and frozen filters come here by themselves.
        </p>
      )}
      {asked.length > 0 && door !== undefined && <HandOver samples={asked} door={door ?? undefined} />}
    </PageFrame>
  );
}

function HandOver({ samples, door }: { samples: LedgerSample[]; door: LabDoor | undefined }) {
  const navigate = useNavigate();
  const { known } = useSession();
  const [looks, setLooks] = useState<Record<string, Look>>({});
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [by, setBy] = useState<Schemas['TravelBy']>('hand');
  const frozen = samples.some(({ keep }) => keep === 'frozen');
  const [on, setOn] = useState<Schemas['TravelOn']>(frozen ? 'frozen-packs' : 'ice');
  const [waybill, setWaybill] = useState('');
  const [told, setTold] = useState(false);
  const [inside, setInside] = useState(false);
  const [seal, setSeal] = useState('');
  const [temperature, setTemperature] = useState('');
  const [signature, setSignature] = useState(known?.name ?? '');
  const [to, setTo] = useState(door?.name ?? '');
  const [now, setNow] = useState(nowLocal);
  const [problem, setProblem] = useState('');
  const going = samples.filter(({ number }) => !left.has(number));
  const request = {
    samples: samples.map(({ number, type, state, hold, foil, to: before }) => ({
      number,
      type,
      state,
      hold,
      foil,
      to: before,
      ...looks[number],
    })),
    by,
    on,
    laboratory: door,
    recipientTold: told,
    sheetInside: inside,
    ...(waybill && { waybill }),
  };
  const { data: checked, error } = useComputed('hand-over', { now, ...request });
  const ready = going.filter(({ number }) => checked?.samples.find((one) => one.number === number)?.ready);
  const stopped = checked?.journey.some(({ level }) => level === 'stop') ?? false;
  const look = (number: string, change: Look) => setLooks({ ...looks, [number]: { ...looks[number], ...change } });
  const all = (change: Look) =>
    setLooks(Object.fromEntries(samples.map(({ number }) => [number, { ...looks[number], ...change }])));

  async function go() {
    const manifest = newId();
    // It may have stood open for long.
    const at = nowLocal();
    const { samples: judged, journey } = await compute('hand-over', { now: at, ...request });
    const fit = going.filter(({ number }) => judged.find((one) => one.number === number)?.ready);
    if (fit.length === 0 || journey.some(({ level }) => level === 'stop')) {
      setNow(at);
      return;
    }
    await writeAshore(
      ...byVisit(fit).map(([visit, numbers]) => ({
        visit,
        kind: 'handed-over' as const,
        body: {
          manifest,
          samples: numbers,
          to: to.trim(),
          by,
          on,
          signature: signature.trim(),
          ...(by === 'carrier' && { recipientTold: told, sheetInside: inside }),
          ...(waybill.trim() && by === 'carrier' && { waybill: waybill.trim() }),
          ...(seal.trim() && { seal: seal.trim() }),
          ...(temperature.trim() && { temperatureC: temperature.trim() }),
          notFrozen: numbers.filter((number) => looks[number]?.cold === false),
        },
      })),
    );
    await navigate({ to: '/ledger/manifest/$id', params: { id: manifest } });
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        go().catch((error: Error) => setProblem(error.message));
      }}
    >
      <p className="mt-1 max-w-prose text-dim">
        Take each out, read its label against this page, tick it. What is not ticked stays here.
      </p>
      {samples.length > 2 && (
        <p className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="act" onClick={() => all({ cold: true })}>
            All are cold as they should be
          </button>
          <button type="button" className="act" onClick={() => all({ labelSame: true })}>
            All labels are read and the same
          </button>
        </p>
      )}
      <ul className="mt-4 border-ink border-t-[1.5px]">
        {samples.map((sample) => (
          <Looked
            key={sample.number}
            sample={sample}
            look={looks[sample.number] ?? {}}
            answer={checked?.samples.find(({ number }) => number === sample.number)}
            staying={left.has(sample.number)}
            onLook={(change) => look(sample.number, change)}
            onStay={(stay) => setLeft(toggled(left, sample.number, stay))}
          />
        ))}
      </ul>
      <h2 className="mt-7 text-xl">The journey</h2>
      <div className="grid gap-x-8 md:grid-cols-2">
        <div>
          <TextField label="To" value={to} onChange={setTo} maxLength={120} />
          <ChoiceBox box="handed-over.by" value={by} onChoose={setBy} />
          <ChoiceBox box="handed-over.on" value={on} onChoose={setOn} />
        </div>
        <div>
          {by === 'carrier' && (
            <>
              <TextField label="Waybill number" value={waybill} onChange={setWaybill} maxLength={60} />
              <Check className="mt-2" checked={told} onCheck={setTold}>
                Somebody there expects it
              </Check>
              <Check className="mt-2" checked={inside} onCheck={setInside}>
                A copy of the sheet inside, in its own bag
              </Check>
            </>
          )}
          <TextField
            label="In the box, °C"
            value={temperature}
            onChange={setTemperature}
            maxLength={8}
            hint="May be left empty."
          />
          <TextField label="Seal" value={seal} onChange={setSeal} maxLength={40} hint="Its number, where there is one." />
        </div>
      </div>
      {checked?.journey.map((finding) => (
        <FindingNote key={finding.code + finding.seen} finding={finding} />
      ))}
      <div className="mt-6 border-ink border-t-[1.5px] pt-3">
        <TextField
          label="Signed, handing over"
          value={signature}
          onChange={setSignature}
          maxLength={80}
          autoComplete="name"
          className="max-w-sm"
        />
        <button
          type="submit"
          className="act act-next mt-4"
          disabled={ready.length === 0 || stopped || !signature.trim() || !to.trim()}
        >
          {ready.length === 0 ? 'Hand over' : `Hand over ${ready.length} ${ready.length === 1 ? 'sample' : 'samples'}`}
        </button>
        {ready.length < samples.length && (
          <p className="mt-2 text-dim">
            {samples.length - ready.length} {samples.length - ready.length === 1 ? 'stays' : 'stay'} here; why stands beside each.
          </p>
        )}
        <Problem words={problem || error || ''} />
      </div>
    </form>
  );
}

function Looked({
  sample,
  look,
  answer,
  staying,
  onLook,
  onStay,
}: {
  sample: LedgerSample;
  look: Look;
  answer: Schemas['HandOverAnswer'] | undefined;
  staying: boolean;
  onLook(change: Look): void;
  onStay(stay: boolean): void;
}) {
  // What only waits for a tick is said by the tick itself.
  const said = (answer?.findings ?? []).filter(({ code }) => code !== 'cold-unconfirmed' && code !== 'label-unread');
  return (
    <li className={`border-rule border-b py-3 ${staying ? 'text-dim' : ''}`}>
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1">
        <div className="min-w-0">
          <p>
            <SampleName sample={sample} />
            {answer?.ready && !staying && <span className="text-reed"> ✓ can go</span>}
            {answer && !answer.ready && !staying && said.length === 0 && (
              <span className="text-dim text-sm"> waits for its ticks</span>
            )}
          </p>
          <p className="text-sm">
            {sample.water}, {sample.station} · {shortDay(sample.day)} · {sample.depth} · {sample.measures}
            {sample.volumeMl != null && ` · ${sample.volumeMl} mL`}
          </p>
        </div>
        <button type="button" className="act-quiet" onClick={() => onStay(!staying)}>
          {staying ? 'take it along' : 'leave it here'}
        </button>
      </div>
      {!staying && (
        <>
          <div className="flex flex-wrap gap-x-7">
            {sample.keep !== 'room' && (
              <Check className="mt-2" checked={look.cold === true} onCheck={(cold) => onLook({ cold: cold || undefined })}>
                {sample.keep === 'frozen' ? 'Frozen through' : 'Cold, on ice'}
              </Check>
            )}
            <Check
              className="mt-2"
              checked={look.labelSame === true}
              onCheck={(same) => onLook({ labelSame: same, differs: undefined })}
            >
              Label read, the same as here
            </Check>
          </div>
          <details className="text-sm">
            <summary className="inline-flex min-h-(--target) cursor-pointer items-center text-dim underline">not so</summary>
            <div className="flex flex-wrap items-end gap-x-4 pb-2">
              <Check
                className="mt-2"
                checked={look.cold === false}
                onCheck={(warm) => onLook({ cold: warm ? false : undefined })}
              >
                {sample.keep === 'frozen' ? 'It is not frozen' : 'It is warm'}
              </Check>
              <TextField
                label="What differs on the label"
                value={look.differs ?? ''}
                onChange={(differs) => onLook({ differs, labelSame: undefined })}
                maxLength={120}
                className="min-w-60 flex-1"
              />
            </div>
          </details>
          {said.map((finding) => (
            <FindingNote key={finding.code + finding.seen} finding={finding} />
          ))}
        </>
      )}
    </li>
  );
}

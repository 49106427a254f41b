import { useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { useBox } from '../field/boxes';
import { write } from '../field/entries';
import { Choice } from '../ui/Choice';
import { ChoiceBox } from '../ui/ChoiceBox';
import { useAsked } from '../water/now/here';
import { WrittenMark } from '../water/WrittenMark';
import { canScan, ScanLabel } from './ScanLabel';

type Bottle = Schemas['SheetBottle'];

/** Where containers are filled: a depth of the plan, or a protocol that takes them in its own way. */
export type FillPlace = Pick<Schemas['SheetPlace'], 'place' | 'bottles' | 'casts' | 'order' | 'sampler'> & { own?: boolean };

/** The bottles of a depth, in the order in which they are filled; each is tied to its printed label. */
export function FillList({ sheet, place }: { sheet: FieldSheet; place: FillPlace }) {
  const [chosen, setChosen] = useState<string>();
  const [scanning, setScanning] = useState(false);
  const [problem, setProblem] = useState('');
  const closed = sheet.state === 'closed';
  const next = place.bottles.find((bottle) => !bottle.entry);
  const bottle = place.bottles.find(({ number }) => number === chosen);
  // One that went wrong is filled again under its number.
  useAsked('bottle', (of) => {
    const again = place.bottles.find(({ entry }) => entry != null && entry === of);
    setChosen(again?.number ?? chosen);
    return again !== undefined;
  });
  return (
    <div className="mt-3">
      <ul className="list-disc pl-5 text-sm">
        {place.order.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <div className="mt-2 border-rule border-t">
        {place.bottles.map((one) =>
          one.entry ? (
            <WrittenMark
              key={one.number}
              visit={sheet.visit}
              entry={one.entry}
              label={one.number}
              text="✓"
              note={one.text ?? undefined}
            />
          ) : (
            <div key={one.number} className="flex items-center gap-3 border-rule border-b py-1.5">
              <p className="min-w-0 flex-1">
                <span className="num">{one.number}</span>
                {one.replicate > 0 && <b> REP</b>}
                <span className="block text-dim text-sm">
                  {one.type.container}, {one.type.measures}
                </span>
              </p>
              {!closed && (
                <button
                  type="button"
                  className={`act ${one === next && !bottle ? 'act-next' : ''}`}
                  onClick={() => setChosen(one.number)}
                  aria-label={`Fill ${one.number}`}
                >
                  Fill
                </button>
              )}
            </div>
          ),
        )}
      </div>
      {problem && (
        <p className="mt-2 border-madder border-l-4 pl-2" role="alert">
          {problem}
        </p>
      )}
      {!closed && canScan() && next && (
        <button type="button" className="act-quiet" onClick={() => setScanning(!scanning)}>
          {scanning ? 'stop scanning' : 'scan a label'}
        </button>
      )}
      {scanning && (
        <ScanLabel
          onRead={(number) => {
            setScanning(false);
            const found = place.bottles.find((one) => one.number === number);
            setProblem(
              !found
                ? `${number} is not one of the bottles that are filled here. Look at the label: another water, day or depth?`
                : found.entry
                  ? `${number} is filled already. Two bottles would become one.`
                  : '',
            );
            setChosen(found && !found.entry ? number : undefined);
          }}
        />
      )}
      {bottle && !closed && (
        <FillForm
          key={bottle.number}
          bottle={bottle}
          place={place}
          onGiven={async (body) => {
            await write({ visit: sheet.visit, kind: 'fill', body });
            setChosen(undefined);
          }}
        />
      )}
    </div>
  );
}

function FillForm({
  bottle,
  place,
  onGiven,
}: {
  bottle: Bottle;
  place: FillPlace;
  onGiven: (body: Schemas['FillBody']) => Promise<void>;
}) {
  const { type } = bottle;
  // Water of the composite, and what a protocol takes in its own way, comes from nowhere else.
  const byHand = useBox('fill.from')?.choices.some(({ code }) => code === bottle.from) ?? false;
  const chosen = byHand && place.place !== 'composite' && !place.own;
  const [from, setFrom] = useState(bottle.from);
  const [to, setTo] = useState<Schemas['FillBody']['to']>();
  const [rinses, setRinses] = useState<number>();
  const [drops, setDrops] = useState<number>();
  const [preserved, setPreserved] = useState<boolean>();
  const [insideTouched, setInsideTouched] = useState<boolean>();
  const good = place.casts.filter((cast) => cast.good).at(-1);
  const wanted = type.rinse.times;
  return (
    <form
      className="mt-3 panel"
      aria-label={`Fill ${bottle.number}`}
      onSubmit={(event) => {
        event.preventDefault();
        if (to) {
          void onGiven({
            sample: bottle.number,
            type: type.code,
            from,
            to,
            ...(place.sampler && good && { cast: good.entry }),
            ...(rinses !== undefined && { rinses }),
            ...(drops !== undefined && { drops }),
            ...(preserved !== undefined && { preserved }),
            ...(insideTouched !== undefined && { insideTouched }),
          });
        }
      }}
    >
      <h4 className="font-bold">
        <span className="num">{bottle.number}</span>
        {bottle.replicate > 0 && ' REP'}
      </h4>
      {type.caution && <p className="mt-1 border-madder border-l-4 pl-2">{type.caution}</p>}
      {chosen && <ChoiceBox box="fill.from" value={from} onChoose={setFrom} />}
      {!bottle.rinsesCounted && (
        <Choice
          label={`Rinsed, times (${type.rinse.words})`}
          value={rinses}
          options={Array.from({ length: Math.max(wanted, 1) + 2 }, (_, n) => [n, String(n)] as const)}
          onChoose={setRinses}
        />
      )}
      <ChoiceBox box="fill.to" label={`Filled: ${type.fill.words}`} value={to} onChoose={setTo} />
      {type.sterile && <ChoiceBox box="fill.insideTouched" value={insideTouched} onChoose={setInsideTouched} />}
      {type.added?.drops != null ? (
        <Choice
          label={`Drops of ${type.added.name}`}
          value={drops}
          options={Array.from({ length: type.added.drops + 3 }, (_, n) => [n, String(n)] as const)}
          onChoose={setDrops}
        />
      ) : (
        type.added &&
        !type.added.inside && (
          <ChoiceBox box="fill.preserved" label={`${type.added.words}: added?`} value={preserved} onChoose={setPreserved} />
        )
      )}
      <button type="submit" className="act act-next mt-3 w-full sm:w-auto" disabled={!to}>
        Filled, capped, into the cooler
      </button>
    </form>
  );
}

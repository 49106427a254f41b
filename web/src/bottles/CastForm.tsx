import { useEffect, useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { write } from '../field/entries';
import { Check } from '../ui/Check';
import { Choice } from '../ui/Choice';
import { ChoiceBox } from '../ui/ChoiceBox';
import { UNITS } from '../ui/units';

type Outcome = Schemas['CastBody']['outcome'];

/** One lowering of the sampler, in the order of the hands: look, lower, rinse, let the messenger go, feel, raise, look. */
export function CastForm({
  sheet,
  place,
  onWritten,
}: {
  sheet: FieldSheet;
  place: Schemas['SheetPlace'];
  onWritten: () => void;
}) {
  const { samplers, ready: checks } = sheet.bottles ?? { samplers: [], ready: [] };
  const [sampler, setSampler] = useState(samplers[0]?.code);
  const [ready, setReady] = useState<string[]>([]);
  const [mark, setMark] = useState(place.mark?.written ?? '');
  const [rinses, setRinses] = useState<number>();
  const [lean, setLean] = useState<number>(0);
  const [trip, setTrip] = useState<{ felt: boolean; seconds?: number }>();
  const [outcome, setOutcome] = useState<Outcome>();
  const [sediment, setSediment] = useState<boolean>();
  const [smell, setSmell] = useState<string>();
  const unit = place.mark?.unit ?? 'm';

  async function give(event: React.FormEvent) {
    event.preventDefault();
    if (!outcome) {
      return;
    }
    await write({
      visit: sheet.visit,
      kind: 'cast',
      body: {
        place: place.place,
        lineOut: { written: mark, unit },
        outcome,
        ready,
        ...(sampler && { sampler }),
        ...(lean > 0 && { angleDeg: lean }),
        ...(rinses !== undefined && { rinses }),
        ...(trip && { felt: trip.felt, ...(trip.seconds !== undefined && { tripS: trip.seconds }) }),
        ...(sediment !== undefined && { sediment }),
        ...(smell && { smell }),
      },
    });
    onWritten();
  }

  return (
    <form className="mt-3 panel" aria-label={`Cast, ${place.title}`} onSubmit={(event) => void give(event)}>
      <fieldset>
        <legend className="font-bold">1. Ready</legend>
        <div className="mt-1 flex flex-wrap gap-x-5">
          {checks.map((check) => (
            <Check
              key={check}
              checked={ready.includes(check)}
              onCheck={() => setReady(ready.includes(check) ? ready.filter((c) => c !== check) : [...ready, check])}
            >
              {check}
            </Check>
          ))}
        </div>
        {samplers.length > 1 && (
          <Choice
            label="Sampler"
            value={sampler}
            options={samplers.map(({ code, name }) => [code, `${code} ${name}`] as const)}
            onChoose={setSampler}
          />
        )}
      </fieldset>
      <p className="mt-3 font-bold">2. Lower it gently</p>
      <label className="mt-1 block">
        <span className="text-sm">Mark at the water, {UNITS[unit].name}</span>
        <input
          className="field num !w-40 text-xl"
          value={mark}
          maxLength={20}
          autoComplete="off"
          inputMode={unit === 'ft-in' ? 'text' : 'decimal'}
          onChange={(event) => setMark(event.target.value)}
        />
      </label>
      <ChoiceBox box="cast.angleDeg" value={lean} onChoose={setLean} />
      <ChoiceBox box="cast.rinses" value={rinses} onChoose={setRinses} />
      <p className="mt-3 font-bold">3. Messenger, from the hand</p>
      <Messenger expected={place.messengerS ?? 0} late={place.messengerLateS ?? undefined} trip={trip} onTrip={setTrip} />
      <p className="mt-3 font-bold">4. Raise it slowly, upright, and look</p>
      <ChoiceBox box="cast.outcome" value={outcome} onChoose={setOutcome} />
      <ChoiceBox box="cast.sediment" value={sediment} onChoose={setSediment} />
      <ChoiceBox box="cast.smell" value={smell} onChoose={setSmell} />
      <p className="mt-3 text-dim text-sm">
        Fingers clear of the closing ends. First spurt to waste; the tap never touches a bottle’s lip.
      </p>
      <button type="submit" className="act act-next mt-3 w-full sm:w-auto" disabled={!outcome || !mark.trim()}>
        Write the cast down
      </button>
    </form>
  );
}

/** Counts from letting go to feeling it, beside the time that it should take. */
function Messenger({
  expected,
  late,
  trip,
  onTrip,
}: {
  expected: number;
  /** Seconds after which it should have been felt. */
  late: number | undefined;
  trip: { felt: boolean; seconds?: number } | undefined;
  onTrip: (trip: { felt: boolean; seconds?: number } | undefined) => void;
}) {
  const [sentAt, setSentAt] = useState<number>();
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (sentAt === undefined) {
      return;
    }
    const timer = setInterval(() => setSeconds((performance.now() - sentAt) / 1000), 100);
    return () => clearInterval(timer);
  }, [sentAt]);

  if (trip) {
    return (
      <p className="mt-1">
        {trip.felt ? 'Felt' : 'Nothing felt'}
        {trip.seconds !== undefined && <span className="num"> after {trip.seconds} s</span>}{' '}
        <button type="button" className="act-quiet" onClick={() => onTrip(undefined)}>
          once more
        </button>
      </p>
    );
  }
  if (sentAt === undefined) {
    return (
      <div className="mt-1 flex flex-wrap gap-2">
        <button
          type="button"
          className="act"
          onClick={() => {
            setSeconds(0);
            setSentAt(performance.now());
          }}
        >
          Let it go{expected > 0 ? `, about ${expected} s` : ''}
        </button>
        <button type="button" className="act-quiet" onClick={() => onTrip({ felt: true })}>
          felt, not timed
        </button>
      </div>
    );
  }
  const finish = (felt: boolean) => {
    onTrip({ felt, seconds: Math.round(seconds * 10) / 10 });
    setSentAt(undefined);
  };
  return (
    <div className="mt-1">
      <p className="num text-2xl" role="timer">
        {seconds.toFixed(1)} s <span className="text-base text-dim">of about {expected} s</span>
      </p>
      {late !== undefined && late > 0 && seconds > late && (
        <p className="text-buoy">It should have tripped by now. Tug once; if nothing, raise slowly and look.</p>
      )}
      <div className="mt-1 flex flex-wrap gap-2">
        <button type="button" className="act act-next" onClick={() => finish(true)}>
          Felt it
        </button>
        <button type="button" className="act" onClick={() => finish(false)}>
          Nothing felt
        </button>
      </div>
    </div>
  );
}

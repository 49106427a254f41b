import { useEffect, useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { write } from '../field/entries';
import { ChoiceBox } from '../ui/ChoiceBox';
import { NextButton } from '../ui/NextButton';
import { notNumber, numberOf } from '../ui/number';
import { TextField } from '../ui/TextField';
import { CopyHead } from './CopyHead';
import { FindingsBeside } from './findings';
import { PositionPart } from './PositionPart';
import { after, onTo } from './steps';
import type { StepProps } from './VisitPage';

type Conditions = Schemas['ConditionsBody'];

/** The head of the sheet: where, who, and what the day is like. Each box is written by one touch. */
export function ArriveStep({ sheet, station, onStep }: StepProps) {
  const { arrival } = sheet;
  const { now } = arrival;
  const ashore = station.context.station.shore;
  const to = after(sheet, 'arrive');
  const closed = sheet.state === 'closed';
  const give = (change: Conditions, box = Object.keys(change)[0]) => void answer(sheet, box, change);
  return (
    <>
      <h2 className="text-2xl">Arrive</h2>
      {arrival.sun && (
        <p className="mt-0.5 text-dim">{arrival.sun.text.replace('sun in', 'Sun in').replace(/ high$/, ' high now')}.</p>
      )}
      <CopyHead sheet={sheet} station={station} />
      <PositionPart sheet={sheet} station={station} />
      <section aria-label="People and weather" className="mt-4 grid gap-x-8 xl:grid-cols-2">
        <ChoiceBox
          box="conditions.people"
          {...(!ashore && { label: 'How many aboard?' })}
          value={now.people}
          onChoose={(people) => give({ people })}
          disabled={closed}
        />
        {!ashore && (
          <ChoiceBox
            box="conditions.anchored"
            value={now.anchored}
            onChoose={(anchored) => give({ anchored })}
            disabled={closed}
          />
        )}
        <Thermometer
          label="Air temperature"
          legend="Air, before the thermometer is wet"
          given={now.air}
          opens={arrival.thermometers}
          onGiven={(air) => give({ air })}
          disabled={closed}
        />
        <ChoiceBox
          box="conditions.waveState"
          value={now.waveState}
          onChoose={(waveState) => give({ waveState }, 'waves')}
          disabled={closed}
        />
        <ChoiceBox
          box="conditions.cloudEighths"
          value={now.cloudEighths}
          onChoose={(cloudEighths) => give({ cloudEighths })}
          disabled={closed}
        />
        <div>
          <ChoiceBox box="conditions.wind" value={now.wind} onChoose={(wind) => give({ wind })} disabled={closed} />
          <ByInstrument
            label="Wind by an anemometer, m/s"
            given={now.windMs}
            onGiven={(windMs) => give({ windMs }, 'wind')}
            disabled={closed}
          />
        </div>
        <ChoiceBox box="conditions.windFrom" value={now.windFrom} onChoose={(windFrom) => give({ windFrom })} disabled={closed} />
        <div>
          <ChoiceBox box="conditions.rain24" value={now.rain24} onChoose={(rain24) => give({ rain24 })} disabled={closed} />
          <ByInstrument
            label="Rain of 24 h by a gauge, mm"
            given={now.rain24Mm}
            onGiven={(rain24Mm) => give({ rain24Mm }, 'rain24')}
            disabled={closed}
          />
        </div>
        <div>
          <ChoiceBox box="conditions.rain72" value={now.rain72} onChoose={(rain72) => give({ rain72 })} disabled={closed} />
          <ByInstrument
            label="Rain of 72 h by a gauge, mm"
            given={now.rain72Mm}
            onGiven={(rain72Mm) => give({ rain72Mm }, 'rain72')}
            disabled={closed}
          />
        </div>
        <ChoiceBox box="conditions.surface" value={now.surface} onChoose={(surface) => give({ surface })} disabled={closed} />
        <Thermometer
          label="Water temperature"
          legend="Water at the surface, in a container just filled, in shade"
          given={now.water}
          opens={now.air?.unit ?? arrival.thermometers}
          onGiven={(water) => give({ water })}
          disabled={closed}
        />
        {now.water && (
          <>
            <ChoiceBox
              box="conditions.waterSteady"
              value={now.waterSteady}
              onChoose={(waterSteady) => give({ waterSteady })}
              disabled={closed}
            />
            <Thermometer
              label="Water by a second thermometer"
              legend="A second thermometer beside it, if there is one"
              given={now.waterSecond}
              opens={now.water.unit ?? arrival.thermometers}
              onGiven={(waterSecond) => give({ waterSecond })}
              disabled={closed}
            />
          </>
        )}
        <ChoiceBox box="conditions.smell" value={now.smell} onChoose={(smell) => give({ smell })} disabled={closed} />
        <ChoiceBox box="conditions.thunder" value={now.thunder} onChoose={(thunder) => give({ thunder })} disabled={closed} />
        <ChoiceBox box="conditions.fog" value={now.fog} onChoose={(fog) => give({ fog })} disabled={closed} />
      </section>
      <FindingsBeside sheet={withoutOrder(sheet)} beside="header" />
      {!closed && <NextButton onClick={() => onStep(to)}>{onTo(sheet, to)}</NextButton>}
    </>
  );
}

/** An answer that is given anew strikes the old one: both stay on the page. */
async function answer(sheet: FieldSheet, field: string | undefined, change: Conditions): Promise<void> {
  const old = sheet.arrival.boxes.find((box) => box.field === field);
  const same = old && sheet.arrival.boxes.filter((box) => box.entry === old.entry).length > 1;
  await write({
    visit: sheet.visit,
    kind: 'conditions',
    body: change,
    // An entry that holds other boxes as well is left alone; of one box the later answer stands.
    ...(old && !same && { strikes: old.entry, why: 'answered anew' }),
  });
}

/** What an instrument shows, as a number; without one the box above it is touched. */
function ByInstrument({
  label,
  given,
  onGiven,
  disabled,
}: {
  label: string;
  given: number | null | undefined;
  onGiven: (read: number) => void;
  disabled: boolean;
}) {
  const [written, setWritten] = useState(given?.toString() ?? '');
  // Told without it after all: the number stands no more.
  useEffect(() => {
    if (given == null) {
      setWritten('');
    }
  }, [given]);
  const read = numberOf(written);
  const give = () => read !== undefined && read !== given && onGiven(read);
  return (
    <TextField
      label={label}
      className="max-w-60"
      value={written}
      onChange={setWritten}
      {...notNumber(written)}
      inputMode="decimal"
      maxLength={8}
      autoComplete="off"
      disabled={disabled}
      onBlur={give}
      onKeyDown={(event) => event.key === 'Enter' && give()}
    />
  );
}

function Thermometer({
  label,
  legend,
  given,
  opens,
  onGiven,
  disabled,
}: {
  label: string;
  legend: string;
  given: Schemas['WrittenTemperature'] | null | undefined;
  /** The scale of the thermometer that is aboard. */
  opens: '°C' | '°F' | null;
  onGiven: (read: Schemas['WrittenTemperature']) => void;
  disabled: boolean;
}) {
  const [written, setWritten] = useState(given?.written ?? '');
  const [chosen, setChosen] = useState<'°C' | '°F' | undefined>(given?.unit ?? undefined);
  // Once a number stands in the box its scale stays, whatever other thermometers show.
  const unit = chosen ?? opens ?? '°C';
  const give = (as: '°C' | '°F') => {
    if (written.trim() && (written !== given?.written || as !== given?.unit)) {
      onGiven({ written: written.trim(), unit: as });
    }
  };
  return (
    <fieldset className="mt-3" disabled={disabled}>
      <legend className="font-bold text-sm">{legend}</legend>
      <div className="mt-1 flex gap-1.5">
        <input
          className="field num !w-28 text-lg"
          aria-label={label}
          inputMode="decimal"
          maxLength={8}
          autoComplete="off"
          value={written}
          onChange={(event) => {
            setWritten(event.target.value);
            setChosen(unit);
          }}
          onBlur={() => give(unit)}
          onKeyDown={(event) => event.key === 'Enter' && give(unit)}
        />
        {(['°C', '°F'] as const).map((scale) => (
          <button
            key={scale}
            type="button"
            aria-pressed={scale === unit}
            className={`act ${scale === unit ? '!border-ink !bg-ink !text-paper' : 'font-normal'}`}
            onClick={() => {
              setChosen(scale);
              give(scale);
            }}
          >
            {scale}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

/** What another order costs is said where the order is changed. */
function withoutOrder(sheet: FieldSheet): FieldSheet {
  return { ...sheet, findings: sheet.findings.filter(({ code }) => code !== 'order-changed') };
}

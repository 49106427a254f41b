import { useEffect, useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { write } from '../field/entries';
import { numberOf } from '../setup/water';
import { Choice } from '../ui/Choice';
import { NextButton } from '../ui/NextButton';
import { TextField } from '../ui/TextField';
import { CopyHead } from './CopyHead';
import { FindingsBeside } from './findings';
import { PositionPart } from './PositionPart';
import { after, onTo } from './steps';
import type { StepProps } from './VisitPage';

type Conditions = Schemas['ConditionsBody'];

const EIGHTHS = [0, 1, 2, 3, 4, 5, 6, 7, 8].map((n) => [n, String(n)] as const);
// What a person can tell without an instrument; what each stands for, Core says.
const WIND = [
  ['calm', 'calm'],
  ['light-air', 'light air'],
  ['felt-on-the-face', 'felt on the face'],
  ['leaves-move', 'leaves move'],
  ['branches-move', 'branches move'],
  ['small-trees-sway', 'small trees sway'],
  ['large-branches-sway', 'large branches sway'],
] as const;
const FROM = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'].map((wind) => [wind, wind] as const);
const WAVES = [
  ['flat', 'flat'],
  ['ripples', 'ripples'],
  ['choppy', 'choppy'],
  ['white-caps', 'white caps'],
] as const;
const RAIN = [
  ['none', 'none'],
  ['under-5-mm', 'under 5 mm'],
  ['5-to-25-mm', '5–25 mm'],
  ['over-25-mm', 'more'],
] as const;
const SURFACE = [
  ['clear', 'clear'],
  ['scum', 'scum'],
  ['foam', 'foam'],
  ['pollen', 'pollen'],
  ['debris', 'debris'],
] as const;
const SMELL = ['none', 'earth', 'fish', 'rotten eggs', 'chemical'].map((smell) => [smell, smell] as const);
const YES_NO = [
  [true, 'yes'],
  [false, 'no'],
] as const;

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
        <Choice
          label={ashore ? 'How many are you?' : 'How many aboard?'}
          value={now.people}
          options={[1, 2, 3, 4, 5].map((n) => [n, String(n)] as const)}
          onChoose={(people) => give({ people })}
          disabled={closed}
        />
        {!ashore && (
          <Choice
            label="Does the anchor hold?"
            value={now.anchored}
            options={YES_NO}
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
        <Choice
          label="Waves"
          value={now.waveState}
          options={WAVES}
          onChoose={(waveState) => give({ waveState }, 'waves')}
          disabled={closed}
        />
        <Choice
          label="Cloud, eighths of the sky"
          value={now.cloudEighths}
          options={EIGHTHS}
          onChoose={(cloudEighths) => give({ cloudEighths })}
          disabled={closed}
        />
        <div>
          <Choice label="Wind" value={now.wind} options={WIND} onChoose={(wind) => give({ wind })} disabled={closed} />
          <ByInstrument
            label="Wind by an anemometer, m/s"
            given={now.windMs}
            onGiven={(windMs) => give({ windMs }, 'wind')}
            disabled={closed}
          />
        </div>
        <Choice
          label="Wind from"
          value={now.windFrom}
          options={FROM}
          onChoose={(windFrom) => give({ windFrom })}
          disabled={closed}
        />
        <div>
          <Choice
            label="Rain in the last 24 h"
            value={now.rain24}
            options={RAIN}
            onChoose={(rain24) => give({ rain24 })}
            disabled={closed}
          />
          <ByInstrument
            label="Rain of 24 h by a gauge, mm"
            given={now.rain24Mm}
            onGiven={(rain24Mm) => give({ rain24Mm }, 'rain24')}
            disabled={closed}
          />
        </div>
        <div>
          <Choice
            label="Rain in the last 72 h"
            value={now.rain72}
            options={RAIN}
            onChoose={(rain72) => give({ rain72 })}
            disabled={closed}
          />
          <ByInstrument
            label="Rain of 72 h by a gauge, mm"
            given={now.rain72Mm}
            onGiven={(rain72Mm) => give({ rain72Mm }, 'rain72')}
            disabled={closed}
          />
        </div>
        <Choice
          label="Surface of the water"
          value={now.surface}
          options={SURFACE}
          onChoose={(surface) => give({ surface })}
          disabled={closed}
        />
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
            <Choice
              label="Did it hold still for a minute?"
              value={now.waterSteady}
              options={YES_NO}
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
        <Choice label="Smell" value={now.smell} options={SMELL} onChoose={(smell) => give({ smell })} disabled={closed} />
        <Choice
          label="Thunder in the last half hour?"
          value={now.thunder}
          options={YES_NO}
          onChoose={(thunder) => give({ thunder })}
          disabled={closed}
        />
        <Choice
          label="Fog: less than a kilometre?"
          value={now.fog}
          options={YES_NO}
          onChoose={(fog) => give({ fog })}
          disabled={closed}
        />
      </section>
      <FindingsBeside sheet={withoutOrder(sheet)} beside="header" />
      {!closed && <NextButton onClick={() => onStep(to)}>{onTo(to)}</NextButton>}
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
  const unreadable = written.trim() !== '' && read === undefined;
  const give = () => read !== undefined && read !== given && onGiven(read);
  return (
    <TextField
      label={label}
      className="max-w-60"
      value={written}
      onChange={setWritten}
      {...(unreadable && { problem: `“${written}” is no number. Write digits, for example 3.4.` })}
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

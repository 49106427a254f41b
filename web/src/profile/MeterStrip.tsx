import { useEffect, useRef, useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { useBox } from '../field/boxes';
import { write } from '../field/entries';
import { Check } from '../ui/Check';
import { Choice } from '../ui/Choice';
import { ChoiceBox } from '../ui/ChoiceBox';
import { notNumber, numberOf } from '../ui/number';
import { TextField } from '../ui/TextField';
import { useAsked } from '../water/now/here';
import type { Profile } from './columns';

/** The meter: calibrated when, on which unit; with the way to calibrate it, and to look at it again at the end. */
export function MeterStrip({
  sheet,
  profile,
  gear,
  onDone,
}: {
  sheet: FieldSheet;
  profile: Profile;
  gear: readonly Schemas['Gear'][];
  onDone: () => void;
}) {
  const [open, setOpen] = useState<'start' | 'end'>();
  useAsked('meter', () => {
    setOpen('start');
    return true;
  });
  const close = () => {
    setOpen(undefined);
    onDone();
  };
  const { meter } = profile;
  const meters = gear.filter((item) => item.kind === 'meter');
  return (
    <section aria-label="Meter" className="mt-1">
      <p className="flex flex-wrap items-baseline gap-x-3 text-dim text-sm">
        <span className="min-w-0 boat:w-full boat:truncate" title={meter.text}>
          {meter.text}
        </span>
        {sheet.state !== 'closed' && (
          <>
            <button type="button" className="act-quiet" aria-expanded={open === 'start'} onClick={() => setOpen('start')}>
              {meter.calibrated ? 'calibrate again' : 'calibrate'}
            </button>
            {profile.levels.length > 0 && (
              <button type="button" className="act-quiet" aria-expanded={open === 'end'} onClick={() => setOpen('end')}>
                check at the end
              </button>
            )}
          </>
        )}
      </p>
      {open && (
        <CalibrationForm
          atEnd={open === 'end'}
          meter={meter.meter ?? meters[0]?.code ?? ''}
          meters={meters}
          onCancel={close}
          onGiven={async (body) => {
            await write({ visit: sheet.visit, kind: 'meter-check', body });
            close();
          }}
        />
      )}
    </section>
  );
}

function CalibrationForm({
  atEnd,
  meter: first,
  meters,
  onGiven,
  onCancel,
}: {
  atEnd: boolean;
  meter: string;
  meters: readonly Schemas['Gear'][];
  onGiven: (body: Schemas['MeterCheckBody']) => Promise<void>;
  onCancel: () => void;
}) {
  const [meter, setMeter] = useState(first);
  const [unit, setUnit] = useState<'%' | 'mg/L'>('%');
  const [typed, setExpected] = useState<string>();
  const [read, setRead] = useState('');
  const [pressure, setPressure] = useState('');
  const [report, setReport] = useState(false);
  const [display, setDisplay] = useState<'%' | 'mg/L'>();
  const form = useRef<HTMLFormElement>(null);
  // It may be asked for from far below.
  useEffect(() => {
    form.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  // What saturated air should read is known in its own unit alone.
  const known = useBox('meter-check.expected');
  const expected = typed ?? (known?.usual != null && known.unit === unit ? String(known.usual) : '');
  const kpa = numberOf(pressure);
  const unread = notNumber(pressure, '99.8');
  return (
    <form
      ref={form}
      className="mt-2 border border-rule bg-sheet p-3.5"
      aria-label={atEnd ? 'Check at the end' : 'Calibration'}
      onSubmit={(event) => {
        event.preventDefault();
        void onGiven({
          meter: meter.trim() || 'meter',
          atEnd,
          expected: { written: expected, unit },
          read: { written: read, unit },
          ...(kpa !== undefined && { pressureKpa: kpa, fromWeatherReport: report }),
          ...(display && { display }),
        });
      }}
    >
      <p className="text-dim text-sm">
        In water-saturated air, 10–20 min in the chamber. Write what it read before it was set, then what it should read.
      </p>
      {meters.length > 1 ? (
        <Choice
          label="Meter"
          value={meter}
          options={meters.map(({ code, name }) => [code, `${code} ${name}`] as const)}
          onChoose={setMeter}
        />
      ) : (
        meters.length === 0 && <TextField label="Meter" value={meter} onChange={setMeter} maxLength={40} />
      )}
      <ChoiceBox box="meter-check.display" label="In" value={unit} onChoose={setUnit} />
      <div className="grid grid-cols-2 gap-x-4">
        <TextField label="It read" value={read} onChange={setRead} inputMode="decimal" maxLength={12} />
        <TextField label="It should read" value={expected} onChange={setExpected} inputMode="decimal" maxLength={12} />
      </div>
      {!atEnd && (
        <>
          <TextField
            label="Air pressure, kPa, where there is a barometer"
            hint="Else the standard atmosphere at the water’s altitude is taken."
            value={pressure}
            onChange={setPressure}
            {...unread}
            inputMode="decimal"
            maxLength={8}
          />
          {pressure && (
            <Check className="mt-2" checked={report} onCheck={() => setReport(!report)}>
              It is the number of the weather report, brought to the sea
            </Check>
          )}
          <ChoiceBox box="meter-check.display" value={display} onChoose={setDisplay} />
        </>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="submit" className="act act-next" disabled={!read.trim() || !expected.trim() || !!unread.problem}>
          Write it down
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Not now
        </button>
      </div>
    </form>
  );
}

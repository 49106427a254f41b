import { useState } from 'react';
import type { Schemas } from '../api/client';
import { useBox } from '../field/boxes';
import { Check } from '../ui/Check';
import { numberOf } from '../ui/number';
import { TextField } from '../ui/TextField';

type Laboratory = Schemas['Laboratory'];
const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** What the laboratory asks of the road, and what it needs to see chlorophyll. */
export function LaboratoryNeeds({ lab, onChange }: { lab: Laboratory; onChange(lab: Laboratory): void }) {
  const own = lab.chlorophyll;
  const [usualExtract, usualPath] = [useBox('measured.extractMl')?.usual, useBox('measured.pathCm')?.usual];
  const [detection, setDetection] = useState(String(own?.detectionUgMl ?? ''));
  const [extract, setExtract] = useState(String(own?.extractMl ?? usualExtract ?? ''));
  const [path, setPath] = useState(String(own?.pathCm ?? usualPath ?? ''));
  const shipping = lab.shippingDays ?? [];
  const set = (change: { detection?: string; extract?: string; path?: string }) => {
    const [d, e, p] = [change.detection ?? detection, change.extract ?? extract, change.path ?? path];
    setDetection(d);
    setExtract(e);
    setPath(p);
    const [detectionUgMl, extractMl, pathCm] = [numberOf(d), numberOf(e), numberOf(p)];
    onChange({
      ...lab,
      chlorophyll:
        detectionUgMl && extractMl && pathCm ? { method: 'monochromatic', ...own, detectionUgMl, extractMl, pathCm } : null,
    });
  };
  return (
    <>
      <fieldset className="mt-4">
        <legend className="font-bold text-sm">On the road</legend>
        <Check checked={lab.noDryIce === true} onCheck={(on) => onChange({ ...lab, noDryIce: on })}>
          No dry ice
        </Check>
        <p className="text-dim text-sm">Ultra-clean samples may be shipped on (none ticked: on any day)</p>
        <div className="flex flex-wrap gap-x-4">
          {DAYS.map((day, i) => (
            <Check
              key={day}
              checked={shipping.includes(i)}
              onCheck={(on) => {
                const days = on ? [...shipping, i].sort() : shipping.filter((one) => one !== i);
                onChange({ ...lab, shippingDays: days.length > 0 ? days : null });
              }}
            >
              {day}
            </Check>
          ))}
        </div>
      </fieldset>
      <fieldset className="mt-4">
        <legend className="font-bold text-sm">To see chlorophyll</legend>
        <div className="grid gap-x-6 sm:grid-cols-3">
          <TextField
            label="Detection limit, µg per mL of extract"
            value={detection}
            inputMode="decimal"
            onChange={(written) => set({ detection: written })}
            hint="Empty where the lab has not said."
          />
          <TextField
            label="Its extracts, mL"
            value={extract}
            inputMode="decimal"
            onChange={(written) => set({ extract: written })}
          />
          <TextField label="Its light path, cm" value={path} inputMode="decimal" onChange={(written) => set({ path: written })} />
        </div>
        {own && (
          <Calibrations own={own} onChange={(calibrations) => onChange({ ...lab, chlorophyll: { ...own, calibrations } })} />
        )}
      </fieldset>
    </>
  );
}

type ChlorophyllLab = NonNullable<Laboratory['chlorophyll']>;

/** Calibrations of fluorometers: a new one is added, none is ever changed. */
function Calibrations({
  own,
  onChange,
}: {
  own: ChlorophyllLab;
  onChange(calibrations: NonNullable<ChlorophyllLab['calibrations']>): void;
}) {
  const [given, setGiven] = useState({ instrument: '', from: '', factor: '', acidRatio: '' });
  const all = own.calibrations ?? [];
  const [factor, acidRatio] = [numberOf(given.factor), numberOf(given.acidRatio)];
  return (
    <>
      <p className="mt-3 font-bold text-sm">Calibrations of fluorometers</p>
      <ul className="text-sm">
        {all.map((one) => (
          <li key={`${one.instrument} ${one.version}`} className="num border-rule border-b py-1">
            {one.instrument}, {one.version}: from {one.from}, K {one.factor}, r {one.acidRatio}
          </li>
        ))}
      </ul>
      <div className="grid items-end gap-x-4 sm:grid-cols-5">
        <TextField
          label="Instrument"
          value={given.instrument}
          maxLength={40}
          onChange={(instrument) => setGiven({ ...given, instrument })}
        />
        <TextField label="From" type="date" value={given.from} onChange={(from) => setGiven({ ...given, from })} />
        <TextField
          label="Factor K"
          value={given.factor}
          inputMode="decimal"
          onChange={(written) => setGiven({ ...given, factor: written })}
        />
        <TextField
          label="Acid ratio r"
          value={given.acidRatio}
          inputMode="decimal"
          onChange={(written) => setGiven({ ...given, acidRatio: written })}
        />
        <button
          type="button"
          className="act mt-3"
          disabled={!given.instrument.trim() || !given.from || !factor || !acidRatio}
          onClick={() => {
            const version = all.filter(({ instrument }) => instrument === given.instrument.trim()).length + 1;
            onChange([
              ...all,
              { instrument: given.instrument.trim(), version, from: given.from, factor: factor ?? 0, acidRatio: acidRatio ?? 0 },
            ]);
            setGiven({ instrument: '', from: '', factor: '', acidRatio: '' });
          }}
        >
          Add it
        </button>
      </div>
    </>
  );
}

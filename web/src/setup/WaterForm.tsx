import { useState } from 'react';
import { asked } from '../api/asked';
import { api } from '../api/client';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { Beside, type FieldFinding, Summary } from './findings';
import { SketchMap } from './SketchMap';
import { KINDS, type Water } from './water';

interface Props {
  given: Water;
  isNew?: boolean;
  version?: number | undefined;
  onKept(code: string): void;
  onCancel(): void;
}

const list = (text: string) =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);

/** The water itself: names, zone, outline, areas by depth. */
export function WaterForm({ given, isNew = false, version = 0, onKept, onCancel }: Props) {
  // What was on the screen when the form was opened.
  const [seen] = useState(version);
  const [water, setWater] = useState(given);
  const [altitude, setAltitude] = useState(String(given.altitudeM ?? 0));
  const [others, setOthers] = useState((given.otherNames ?? []).join(', '));
  const [areas, setAreas] = useState((given.hypsography ?? []).map((row) => `${row.depthM} ${row.areaM2}`).join('\n'));
  const [findings, setFindings] = useState<FieldFinding[]>([]);
  const [problem, setProblem] = useState('');
  const change = (part: Partial<Water>) => setWater({ ...water, ...part });

  async function bring(file: File | undefined) {
    if (!file) {
      return;
    }
    const text = await file.text();
    const { data, problem: refused } = await asked(() =>
      api.POST('/api/formats/shape', {
        body: text,
        bodySerializer: (body) => body as string,
        headers: { 'Content-Type': 'application/geo+json' },
      }),
    );
    setProblem(refused);
    if (data) {
      setFindings(data.findings);
      if (data.outline.length > 0 || data.contours.length > 0) {
        change({ outline: data.outline, contours: data.contours });
      }
    }
  }

  async function keep() {
    const altitudeM = numberOf(altitude);
    const rows = areas.split('\n').filter((line) => line.trim() !== '');
    const hypsography = rows.map((line) =>
      line
        .trim()
        .split(/[\s;]+/)
        .map(numberOf),
    );
    if (altitudeM === undefined || hypsography.some((row) => row.length !== 2 || row.includes(undefined))) {
      setProblem(
        altitudeM === undefined
          ? 'The height above the sea is not a number of metres.'
          : 'Areas by depth: two numbers on each line, the depth in metres and the area in square metres.',
      );
      return;
    }
    const kept: Water = {
      ...water,
      altitudeM,
      otherNames: list(others),
      hypsography: hypsography.map(([depthM, areaM2]) => ({ depthM: depthM ?? 0, areaM2: areaM2 ?? 0 })),
    };
    const { data, problem: refused } = await asked(() =>
      isNew
        ? api.POST('/api/waters', { body: kept })
        : api.PUT('/api/waters/{code}', { params: { path: { code: water.code }, query: { version: seen } }, body: kept }),
    );
    setFindings(data?.findings ?? []);
    setProblem(refused);
    if (data?.kept) {
      onKept(data.code);
    }
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className="grid gap-x-6 sm:grid-cols-2">
        <div>
          <TextField label="Name" value={water.name} onChange={(name) => change({ name })} maxLength={80} />
          <Beside field="name" findings={findings} />
          <Beside field="code" findings={findings} />
        </div>
        <div>
          <TextField
            label="District or county"
            value={water.district}
            onChange={(district) => change({ district })}
            maxLength={80}
            hint="Many waters share a name."
          />
          <Beside field="district" findings={findings} />
        </div>
        <SelectField label="Kind" value={water.kind} options={KINDS} onChange={(kind) => change({ kind })} />
        <TextField label="Other names" value={others} onChange={setOthers} hint="With commas between." />
        <div>
          <TextField
            label="Time zone"
            value={water.timeZone}
            onChange={(timeZone) => change({ timeZone })}
            hint="Hours, the sun and the lab’s closing go by it. Area/City."
          />
          <Beside field="timeZone" findings={findings} />
        </div>
        <TextField
          label="Surface above the sea, m"
          value={altitude}
          onChange={setAltitude}
          inputMode="decimal"
          hint="For oxygen and the barometer; 0 at the sea."
        />
      </div>
      <div className="mt-4 grid gap-x-6 gap-y-3 sm:grid-cols-2">
        <div>
          <label className="font-bold text-sm" htmlFor="outline-file">
            Outline and depth contours
          </label>
          <input
            id="outline-file"
            type="file"
            accept=".json,.geojson,application/geo+json"
            className="mt-1 block w-full text-sm"
            onChange={(event) => void bring(event.target.files?.[0])}
          />
          <p className="mt-1 text-dim text-sm">
            A GeoJSON file: polygons are the shore, lines with a property “depth” the contours. It can be added later.
          </p>
          <Beside field="outline" findings={findings} />
          <Beside field="contours" findings={findings} />
          <label className="mt-4 block">
            <span className="font-bold text-sm">Area by depth</span>
            <textarea
              className="field num min-h-28 py-2"
              value={areas}
              placeholder={'0 812000\n5 540000\n10 301000'}
              onChange={(event) => setAreas(event.target.value)}
            />
            <span className="text-dim text-sm">
              On each line a depth in m and the area there in m². For volume and stability; it can be added later.
            </span>
          </label>
          <Beside field="hypsography" findings={findings} />
        </div>
        <SketchMap water={water} marks={[]} />
      </div>
      <Problem words={problem} />
      <Summary findings={findings} />
      <div className="mt-4 flex gap-3">
        <button type="submit" className="act act-next">
          {isNew ? 'Keep, then its stations' : 'Keep the change'}
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { compute } from '../field/core';
import { Check } from '../ui/Check';
import { ChoiceBox } from '../ui/ChoiceBox';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { type BearingDraft, Bearings, bearingsOf, draftsOfBearings } from './Bearings';
import { DepthField } from './DepthField';
import { Beside, type FieldFinding, Summary } from './findings';
import { type MapMark, SketchMap } from './SketchMap';
import { draftsOfStages, type StageDraft, StageRows, stagesOf } from './StageRows';
import { Track } from './Track';
import { draftsOfTransits, type TransitDraft, Transits, transitsOf } from './Transits';
import type { Water } from './water';

type Setup = Schemas['StationSetup'];

interface Props {
  water: Water;
  given: Setup | undefined;
  stations: readonly Setup[];
  nextCode: string;
  /** The proposal that is looked at. */
  proposed?: Schemas['Proposal'] | undefined;
  onKept(): void;
  onCancel(): void;
}

type Kind = NonNullable<Schemas['Station']['kind']>;

/** A station as it is typed: numbers are text until they are kept. */
interface Draft {
  code: string;
  name: string;
  knownDepth: Schemas['WrittenLength'];
  latitude: string;
  longitude: string;
  radius: string;
  allowance: string;
  declination: string;
  kind: Kind;
  weekdays: number[];
  programme: string;
  line: string;
  transits: TransitDraft[];
  bearings: BearingDraft[];
  stages: StageDraft[];
}

function draftOf(given: Setup | undefined, nextCode: string): Draft {
  const station = given?.station;
  return {
    code: station?.code ?? nextCode,
    name: station?.name ?? '',
    knownDepth: station?.knownDepth ?? { written: '', unit: 'm' },
    latitude: station ? String(station.latitudeDeg) : '',
    longitude: station ? String(station.longitudeDeg) : '',
    radius: String(station?.radiusM ?? 30),
    allowance: String(station?.levelAllowanceM ?? 0),
    declination: String(station?.declinationDeg ?? 0),
    kind: station?.kind ?? (station?.shore ? 'pier' : 'boat'),
    weekdays: given?.weekdays ?? [],
    programme: given?.programme ?? '',
    line: given?.line ?? '',
    transits: draftsOfTransits(station?.transits),
    bearings: draftsOfBearings(station?.bearings),
    stages: draftsOfStages(station?.stageTable),
  };
}

const WEEKDAYS: [number, string][] = [
  [1, 'Mon'],
  [2, 'Tue'],
  [3, 'Wed'],
  [4, 'Thu'],
  [5, 'Fri'],
  [6, 'Sat'],
  [0, 'Sun'],
];

const HALF_A_BEARING =
  'Each bearing needs its mark, the mark’s latitude and longitude, and the degrees read. Fill the line, or clear it.';

/** A station: where it is, how it is found again, how deep it is, and by which rules it is sampled. */
export function StationForm({ water, given, stations, nextCode, proposed, onKept, onCancel }: Props) {
  // The version that was on the screen when the form was opened.
  const [seen] = useState(given?.version ?? 0);
  const programmes = usePulled(() => api.GET('/api/programmes'));
  const kit = usePulled(() => api.GET('/api/kit'));
  const station = given?.station;
  const [draft, setDraft] = useState(() =>
    proposed ? { ...draftOf({ station: proposed.station, programme: '' }, nextCode), code: nextCode } : draftOf(given, nextCode),
  );
  const proposal = proposed?.id;
  const [resection, setResection] = useState<Schemas['ResectionResult']>();
  const [findings, setFindings] = useState<FieldFinding[]>([]);
  const [meant, setMeant] = useState<Schemas['Position']>();
  const [problem, setProblem] = useState('');
  const change = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }));
  const programme = draft.programme || programmes.data?.[0]?.programme.code || '';
  const [lat, lon] = [numberOf(draft.latitude), numberOf(draft.longitude)];
  const bearings = bearingsOf(draft.bearings);
  const take = (at: Schemas['Position']) => {
    change({ latitude: String(at.latitudeDeg), longitude: String(at.longitudeDeg) });
    // What was said of the other position no longer stands.
    setFindings((before) => before.filter(({ field }) => field !== 'position'));
    setMeant(undefined);
  };

  async function workOut() {
    const declinationDeg = numberOf(draft.declination);
    if (!bearings || declinationDeg === undefined) {
      setProblem(HALF_A_BEARING);
      return;
    }
    setProblem('');
    setResection(await compute('resection', { bearings, declinationDeg, radiusM: numberOf(draft.radius) ?? 30 }));
  }

  async function keep() {
    const [radiusM, levelAllowanceM, declinationDeg] = [draft.radius, draft.allowance, draft.declination].map(numberOf);
    const transits = transitsOf(draft.transits);
    const stageTable = stagesOf(draft.stages);
    if (lat === undefined || lon === undefined) {
      setProblem('The position needs a latitude and a longitude in decimal degrees.');
    } else if (radiusM === undefined || levelAllowanceM === undefined || declinationDeg === undefined) {
      setProblem('Radius, allowance and declination are numbers.');
    } else if (!bearings) {
      setProblem(HALF_A_BEARING);
    } else if (!transits) {
      setProblem('A line of landmarks needs its near mark and its far mark. Name both, or clear the line.');
    } else if (stageTable === undefined) {
      setProblem('Each row of the table of flow needs its stage and its flow. Fill the row, or clear it.');
    } else {
      const { code, name, knownDepth, kind, weekdays } = draft;
      const place = { waterCode: water.code, water: water.name, district: water.district, latitudeDeg: lat, longitudeDeg: lon };
      const marks = { transits, bearings, declinationDeg, otherNames: station?.otherNames };
      const body: Setup = {
        station: { code, name, knownDepth, ...place, radiusM, levelAllowanceM, shore: false, kind, ...marks, stageTable },
        programme,
        line: draft.line || null,
        proposal: proposal ?? null,
        version: seen,
        weekdays,
      };
      const { data, problem: refused } = await asked(() =>
        given
          ? api.PUT('/api/stations/{code}', { params: { path: { code: given.station.code } }, body })
          : api.POST('/api/stations', { body }),
      );
      setFindings(data?.findings ?? []);
      setMeant(data?.meant ?? undefined);
      setProblem(refused);
      if (data?.kept) {
        onKept();
      }
    }
  }

  const marks: MapMark[] = [
    ...stations
      .filter((other) => other.station.code !== station?.code)
      .map(({ station: other }) => ({ at: other, label: other.name, kind: 'station' as const })),
    ...(lat !== undefined && lon !== undefined
      ? [{ at: { latitudeDeg: lat, longitudeDeg: lon }, label: draft.name || draft.code, kind: 'chosen' as const }]
      : []),
    ...(resection?.corners ?? []).map((at) => ({ at, label: 'corner of the error triangle', kind: 'corner' as const })),
    ...(bearings ?? []).flatMap(({ mark }) =>
      mark.latitudeDeg != null && mark.longitudeDeg != null
        ? [{ at: { latitudeDeg: mark.latitudeDeg, longitudeDeg: mark.longitudeDeg }, label: mark.name, kind: 'mark' as const }]
        : [],
    ),
  ];
  const sights = resection?.at
    ? marks
        .filter((mark) => mark.kind === 'mark')
        .map((mark) => [mark.at, resection.at] as [Schemas['Position'], Schemas['Position']])
    : [];

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <p className="caps">{water.name}</p>
      <h1 className="text-2xl sm:text-3xl">
        {given ? `Station ${given.station.code}` : proposed ? `Proposed: ${proposed.station.name}` : 'A new station'}
      </h1>
      {proposed && (
        <p className="mt-1 text-dim">
          By {proposed.by}: “{proposed.why}”. Kept, it is a station like any other.
        </p>
      )}
      <div className="mt-2 grid gap-6 lg:grid-cols-[1fr_26rem]">
        <div>
          <div className="grid gap-x-6 sm:grid-cols-2">
            <div>
              <TextField
                label="Name"
                value={draft.name}
                onChange={(name) => change({ name })}
                maxLength={80}
                hint="What people call it, for example Deep Hole."
              />
              <Beside field="name" findings={findings} />
            </div>
            <div>
              <TextField
                label="Code"
                value={draft.code}
                onChange={(code) => change({ code })}
                readOnly={given !== undefined}
                maxLength={40}
                hint="It stands on labels, and stays."
              />
              <Beside field="code" findings={findings} />
            </div>
            <DepthField
              label="Known depth"
              value={draft.knownDepth}
              onChange={(knownDepth) => change({ knownDepth })}
              findings={findings}
              field="knownDepth"
            />
            <TextField
              label="Level may change by, m"
              value={draft.allowance}
              onChange={(allowance) => change({ allowance })}
              inputMode="decimal"
              hint="With drawdown or tide, beyond the usual check."
            />
            <TextField
              label="Latitude"
              value={draft.latitude}
              onChange={(latitude) => change({ latitude })}
              inputMode="text"
              hint="Decimal degrees, north positive."
            />
            <TextField
              label="Longitude"
              value={draft.longitude}
              onChange={(longitude) => change({ longitude })}
              inputMode="text"
              hint="Decimal degrees, east positive."
            />
          </div>
          <Beside field="position" findings={findings} />
          {meant && (
            <button type="button" className="act act-next mt-2" onClick={() => take(meant)}>
              Take {meant.latitudeDeg}, {meant.longitudeDeg}
            </button>
          )}
          <div className="grid gap-x-6 sm:grid-cols-2">
            <div>
              <TextField
                label="Radius, m"
                value={draft.radius}
                onChange={(radius) => change({ radius })}
                inputMode="decimal"
                hint="A fix this near counts as there; 30 m on lakes."
              />
              <Beside field="radiusM" findings={findings} />
            </div>
            <div>
              <SelectField
                label="Programme"
                value={programme}
                options={Object.fromEntries((programmes.data ?? []).map(({ programme: p }) => [p.code, p.name]))}
                onChange={(chosen) => change({ programme: chosen })}
                hint="Methods, limits and dates come from it."
              />
              <Beside field="programme" findings={findings} />
            </div>
            <div>
              <SelectField
                label="Line"
                value={draft.line}
                options={{
                  '': 'none proposed',
                  ...Object.fromEntries(
                    (kit.data ?? [])
                      .filter(({ item }) => item.kind === 'line' && (item.condition !== 'retired' || item.code === draft.line))
                      .map(({ item }) => [item.code, `${item.code}, ${item.name}`]),
                  ),
                }}
                onChange={(line) => change({ line })}
                hint="Proposed at the start of a visit."
              />
              <Beside field="line" findings={findings} />
            </div>
          </div>
          <fieldset className="mt-3">
            <legend className="font-bold text-sm">Days on which its people can go</legend>
            <div className="flex flex-wrap gap-x-4">
              {WEEKDAYS.map(([day, label]) => (
                <Check
                  key={day}
                  checked={draft.weekdays.includes(day)}
                  onCheck={(on) =>
                    change({
                      weekdays: on ? [...draft.weekdays, day] : draft.weekdays.filter((other) => other !== day),
                    })
                  }
                >
                  {label}
                </Check>
              ))}
            </div>
            <p className="text-dim text-sm">None ticked: any day will do.</p>
          </fieldset>
          <ChoiceBox box="station.kind" value={draft.kind} onChoose={(kind) => change({ kind })} />
          <details className="mt-4 border-rule border-t pt-3" open={(station?.transits?.length ?? 0) > 0}>
            <summary className="cursor-pointer font-bold">Landmarks in line</summary>
            <Transits water={water.code} drafts={draft.transits} onChange={(transits) => change({ transits })} />
            <Beside field="transits" findings={findings} />
          </details>
          <details className="mt-3 border-rule border-t pt-3" open={(station?.bearings?.length ?? 0) > 0}>
            <summary className="cursor-pointer font-bold">Compass bearings</summary>
            <Bearings
              drafts={draft.bearings}
              declination={draft.declination}
              onDeclination={(declination) => change({ declination })}
              onChange={(typed) => change({ bearings: typed })}
              result={resection}
              onWorkOut={() => void workOut()}
              onTake={take}
            />
            <Beside field="bearings" findings={findings} />
          </details>
          <details className="mt-3 border-rule border-t pt-3" open={(station?.stageTable?.length ?? 0) > 0}>
            <summary className="cursor-pointer font-bold">Flow by the staff</summary>
            <StageRows drafts={draft.stages} onChange={(stages) => change({ stages })} />
            <Beside field="stageTable" findings={findings} />
          </details>
          <details className="mt-3 border-rule border-t pt-3">
            <summary className="cursor-pointer font-bold">The deepest place of a scouting track</summary>
            <Track
              onTake={(point) => {
                take(point);
                change({ knownDepth: { written: String(point.depthM), unit: 'm' } });
              }}
            />
          </details>
        </div>
        <div className="lg:sticky lg:top-4 lg:self-start">
          <SketchMap water={water} marks={marks} sights={sights} />
        </div>
      </div>
      <Problem words={problem} />
      <Summary findings={findings} />
      <div className="mt-5 flex gap-3">
        <button type="submit" className={`act ${meant ? '' : 'act-next'}`} disabled={!programmes.data && !programmes.problem}>
          {given ? 'Keep the change' : proposed ? 'Approve the station' : 'Keep the station'}
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

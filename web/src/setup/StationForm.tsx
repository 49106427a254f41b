import { useState } from 'react';
import { api, type LengthUnit, type Schemas, wordsOf } from '../api/client';
import { compute } from '../field/core';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { UNITS } from '../ui/units';
import { type BearingDraft, Bearings, bearingsOf, draftsOfBearings } from './Bearings';
import { Beside, type FieldFinding, Summary } from './findings';
import { type MapMark, SketchMap } from './SketchMap';
import { Track } from './Track';
import { draftsOfTransits, type TransitDraft, Transits, transitsOf } from './Transits';
import { usePulled } from './usePulled';
import { numberOf, type Station, type Water } from './water';

type Setup = Schemas['StationSetup'];

interface Props {
  water: Water;
  given: Setup | undefined;
  stations: readonly Setup[];
  onKept(): void;
  onCancel(): void;
}

const DEPTH_UNITS = Object.fromEntries(Object.entries(UNITS).map(([unit, { short }]) => [unit, short])) as Record<
  LengthUnit,
  string
>;

const WEEKDAYS: [number, string][] = [
  [1, 'Mon'],
  [2, 'Tue'],
  [3, 'Wed'],
  [4, 'Thu'],
  [5, 'Fri'],
  [6, 'Sat'],
  [0, 'Sun'],
];

/** A station: where it is, how it is found again, how deep it is, and by which rules it is sampled. */
export function StationForm({ water, given, stations, onKept, onCancel }: Props) {
  const programmes = usePulled(() => api.GET('/api/programmes'));
  const station = given?.station;
  const [code, setCode] = useState(station?.code ?? nextCode(water, stations));
  const [name, setName] = useState(station?.name ?? '');
  const [depth, setDepth] = useState(station?.knownDepth.written ?? '');
  const [unit, setUnit] = useState<LengthUnit>(station?.knownDepth.unit ?? 'm');
  const [latitude, setLatitude] = useState(station ? String(station.latitudeDeg) : '');
  const [longitude, setLongitude] = useState(station ? String(station.longitudeDeg) : '');
  const [radius, setRadius] = useState(String(station?.radiusM ?? 30));
  const [allowance, setAllowance] = useState(String(station?.levelAllowanceM ?? 0));
  const [shore, setShore] = useState(station?.shore ?? false);
  const [weekdays, setWeekdays] = useState<number[]>(given?.weekdays ?? []);
  const [programme, setProgramme] = useState(given?.programme ?? '');
  const [transits, setTransits] = useState<TransitDraft[]>(draftsOfTransits(station?.transits));
  const [bearings, setBearings] = useState<BearingDraft[]>(draftsOfBearings(station?.bearings));
  const [declination, setDeclination] = useState(String(station?.declinationDeg ?? 0));
  const [resection, setResection] = useState<Schemas['ResectionResult']>();
  const [findings, setFindings] = useState<FieldFinding[]>([]);
  const [meant, setMeant] = useState<Schemas['Position']>();
  const [problem, setProblem] = useState('');
  const chosen = programme || programmes.data?.[0]?.programme.code || '';
  const [lat, lon] = [numberOf(latitude), numberOf(longitude)];
  const take = (at: Schemas['Position']) => {
    setLatitude(String(at.latitudeDeg));
    setLongitude(String(at.longitudeDeg));
    setMeant(undefined);
  };

  async function workOut() {
    const read = bearingsOf(bearings);
    const turned = numberOf(declination);
    if (!read || turned === undefined) {
      setProblem('Each bearing needs its mark, the mark’s latitude and longitude, and the degrees read.');
      return;
    }
    setProblem('');
    setResection(await compute('resection', { bearings: read, declinationDeg: turned, radiusM: numberOf(radius) ?? 30 }));
  }

  async function keep() {
    const numbers = { radiusM: numberOf(radius), levelAllowanceM: numberOf(allowance), declinationDeg: numberOf(declination) };
    if (lat === undefined || lon === undefined) {
      setProblem('The position needs a latitude and a longitude in decimal degrees.');
      return;
    }
    if (numbers.radiusM === undefined || numbers.levelAllowanceM === undefined || numbers.declinationDeg === undefined) {
      setProblem('Radius, allowance and declination are numbers.');
      return;
    }
    const body: Setup = {
      station: {
        code,
        name,
        waterCode: water.code,
        water: water.name,
        district: water.district,
        knownDepth: { written: depth, unit },
        latitudeDeg: lat,
        longitudeDeg: lon,
        radiusM: numbers.radiusM,
        levelAllowanceM: numbers.levelAllowanceM,
        declinationDeg: numbers.declinationDeg,
        shore,
        otherNames: station?.otherNames,
        transits: transitsOf(transits),
        bearings: bearingsOf(bearings) ?? [],
      },
      programme: chosen,
      line: given?.line,
      weekdays,
    };
    try {
      const { data, error } = await api.PUT('/api/stations/{code}', { params: { path: { code: code || 'x' } }, body });
      setFindings(data?.findings ?? []);
      setMeant(data?.meant ?? undefined);
      setProblem(data ? '' : wordsOf(error));
      if (data?.kept) {
        onKept();
      }
    } catch {
      setProblem('The server cannot be reached. Nothing was kept; what you typed stays here.');
    }
  }

  const marks: MapMark[] = [
    ...stations
      .filter((other) => other.station.code !== station?.code)
      .map(({ station: other }) => ({ at: other, label: other.name, kind: 'station' as const })),
    ...(lat !== undefined && lon !== undefined
      ? [{ at: { latitudeDeg: lat, longitudeDeg: lon }, label: name || code, kind: 'chosen' as const }]
      : []),
    ...(resection?.corners ?? []).map((at) => ({ at, label: 'corner of the error triangle', kind: 'corner' as const })),
    ...(bearingsOf(bearings) ?? []).flatMap(({ mark }) =>
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
      <h1 className="text-2xl sm:text-3xl">{given ? `Station ${given.station.code}` : 'A new station'}</h1>
      <div className="mt-2 grid gap-6 lg:grid-cols-[1fr_26rem]">
        <div>
          <div className="grid gap-x-6 sm:grid-cols-2">
            <div>
              <TextField
                label="Name"
                value={name}
                onChange={setName}
                maxLength={80}
                hint="What people call it, for example Deep Hole."
              />
              <Beside field="name" findings={findings} />
            </div>
            <div>
              <TextField
                label="Code"
                value={code}
                onChange={setCode}
                readOnly={given !== undefined}
                maxLength={40}
                hint="It stands on labels, and stays."
              />
              <Beside field="code" findings={findings} />
            </div>
            <div>
              <div className="flex gap-2">
                <TextField label="Known depth" value={depth} onChange={setDepth} className="flex-1" />
                <SelectField label="Unit" value={unit} options={DEPTH_UNITS} onChange={setUnit} />
              </div>
              <Beside field="knownDepth" findings={findings} />
            </div>
            <TextField
              label="Level may change by, m"
              value={allowance}
              onChange={setAllowance}
              inputMode="decimal"
              hint="With drawdown or tide, beyond the usual check."
            />
            <TextField
              label="Latitude"
              value={latitude}
              onChange={setLatitude}
              inputMode="text"
              hint="Decimal degrees, north positive."
            />
            <TextField
              label="Longitude"
              value={longitude}
              onChange={setLongitude}
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
                value={radius}
                onChange={setRadius}
                inputMode="decimal"
                hint="A fix this near counts as there; 30 m on lakes."
              />
              <Beside field="radiusM" findings={findings} />
            </div>
            <div>
              <SelectField
                label="Programme"
                value={chosen}
                options={Object.fromEntries((programmes.data ?? []).map(({ programme: p }) => [p.code, p.name]))}
                onChange={setProgramme}
                hint="Schools, limits and dates come from it."
              />
              <Beside field="programme" findings={findings} />
            </div>
          </div>
          <fieldset className="mt-3">
            <legend className="font-bold text-sm">Days on which its people can go</legend>
            <div className="flex flex-wrap gap-x-4">
              {WEEKDAYS.map(([day, label]) => (
                <label key={day} className="flex min-h-9 items-center gap-1.5">
                  <input
                    type="checkbox"
                    className="size-4 accent-(--ink)"
                    checked={weekdays.includes(day)}
                    onChange={(event) =>
                      setWeekdays(event.target.checked ? [...weekdays, day] : weekdays.filter((other) => other !== day))
                    }
                  />
                  {label}
                </label>
              ))}
            </div>
            <p className="text-dim text-sm">None ticked: any day will do.</p>
          </fieldset>
          <label className="mt-3 flex min-h-(--target) items-center gap-3">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={shore}
              onChange={(event) => setShore(event.target.checked)}
            />
            From a pier, bank or beach: no boat
          </label>
          <details className="mt-4 border-rule border-t pt-3" open={(station?.transits?.length ?? 0) > 0}>
            <summary className="cursor-pointer font-bold">Landmarks in line</summary>
            <Transits drafts={transits} onChange={setTransits} />
            <Beside field="transits" findings={findings} />
          </details>
          <details className="mt-3 border-rule border-t pt-3" open={(station?.bearings?.length ?? 0) > 0}>
            <summary className="cursor-pointer font-bold">Compass bearings</summary>
            <Bearings
              drafts={bearings}
              declination={declination}
              onDeclination={setDeclination}
              onChange={setBearings}
              result={resection}
              onWorkOut={() => void workOut()}
              onTake={take}
            />
            <Beside field="bearings" findings={findings} />
          </details>
          <details className="mt-3 border-rule border-t pt-3">
            <summary className="cursor-pointer font-bold">The deepest place of a scouting track</summary>
            <Track
              onTake={(point) => {
                take(point);
                setDepth(String(point.depthM));
                setUnit('m');
              }}
            />
          </details>
        </div>
        <div className="lg:sticky lg:top-4 lg:self-start">
          <SketchMap water={water} marks={marks} sights={sights} />
        </div>
      </div>
      {problem && (
        <p className="mt-3 border border-madder bg-sheet p-3" role="alert">
          {problem}
        </p>
      )}
      <Summary findings={findings} />
      <div className="mt-5 flex gap-3">
        <button type="submit" className={`act ${meant ? '' : 'act-next'}`}>
          {given ? 'Keep the change' : 'Keep the station'}
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

function nextCode(water: Water, stations: readonly Setup[]): string {
  const letters =
    water.name
      .replace(/[^A-Za-z]/g, '')
      .slice(0, 3)
      .toUpperCase() || 'ST';
  let number = stations.length + 1;
  while (stations.some(({ station }: { station: Station }) => station.code === `${letters}-${number}`)) {
    number++;
  }
  return `${letters}-${number}`;
}

import type { Schemas } from '../api/client';
import { numberOf } from '../ui/number';
import { Worked } from '../ui/Worked';
import { Beside } from './findings';
import { type LandmarkDraft, LandmarkFields, landmarkOf, NO_LANDMARK } from './LandmarkFields';

export interface BearingDraft extends LandmarkDraft {
  bearing: string;
}

const EMPTY: BearingDraft = { ...NO_LANDMARK, bearing: '' };

export function draftsOfBearings(bearings: Schemas['Bearing'][] | null | undefined): BearingDraft[] {
  const given = (bearings ?? []).map(({ mark, bearingDeg }) => ({
    name: mark.name,
    latitude: String(mark.latitudeDeg ?? ''),
    longitude: String(mark.longitudeDeg ?? ''),
    photo: mark.photo,
    bearing: String(bearingDeg),
  }));
  return [...given, EMPTY, EMPTY, EMPTY].slice(0, Math.max(3, given.length));
}

/** The bearings that are filled in; undefined where one is only half filled. */
export function bearingsOf(drafts: BearingDraft[]): Schemas['Bearing'][] | undefined {
  const begun = drafts.filter((draft) => draft.name.trim() || draft.bearing.trim() || draft.latitude.trim());
  const read = begun.map((draft) => ({ mark: landmarkOf(draft), bearingDeg: numberOf(draft.bearing) }));
  return read.every(
    ({ mark, bearingDeg }) => mark.name && bearingDeg !== undefined && mark.latitudeDeg != null && mark.longitudeDeg != null,
  )
    ? read.map(({ mark, bearingDeg }) => ({ mark, bearingDeg: bearingDeg ?? 0 }))
    : undefined;
}

interface Props {
  drafts: BearingDraft[];
  declination: string;
  result: Schemas['ResectionResult'] | undefined;
  onChange(drafts: BearingDraft[]): void;
  onDeclination(text: string): void;
  onWorkOut(): void;
  onTake(at: Schemas['Position']): void;
}

/** Three or more bearings to charted marks give a position, and a triangle that says how good it is. */
export function Bearings({ drafts, declination, result, onChange, onDeclination, onWorkOut, onTake }: Props) {
  return (
    <>
      <p className="mt-1 text-dim text-sm">From the station, by compass, to three or more things whose positions are known.</p>
      {drafts.map((draft, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: bearings stand in the order in which they were taken
        <div key={i} className="grid grid-cols-[1fr_5.5rem] items-start gap-2">
          <LandmarkFields
            label={`Mark ${i + 1}`}
            draft={draft}
            onChange={(mark) => onChange(drafts.with(i, { ...draft, ...mark }))}
          />
          <input
            className="field num mt-1.5"
            aria-label={`Bearing to mark ${i + 1}, degrees`}
            placeholder="°"
            inputMode="decimal"
            value={draft.bearing}
            onChange={(event) => onChange(drafts.with(i, { ...draft, bearing: event.target.value }))}
          />
        </div>
      ))}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <label className="flex items-center gap-2 text-sm">
          Declination, ° east
          <input
            className="field num w-20"
            value={declination}
            inputMode="text"
            onChange={(event) => onDeclination(event.target.value)}
          />
        </label>
        <button type="button" className="act-quiet" onClick={() => onChange([...drafts, EMPTY])}>
          Another bearing
        </button>
        <button type="button" className="act" onClick={onWorkOut}>
          Work out the position
        </button>
      </div>
      <Beside field="bearings" findings={result?.findings ?? []} />
      {result?.at && (
        <div className="mt-3 border-slate border-l-4 pl-3">
          <p>
            <Worked working={result.working}>
              <b className="num text-slate">
                {result.at.latitudeDeg}, {result.at.longitudeDeg}
              </b>
            </Worked>
            , the lines missing one another by <b className="num text-slate">{result.longestSideM} m</b> at most.
          </p>
          <button type="button" className="act mt-2" onClick={() => result.at && onTake(result.at)}>
            Take this position
          </button>
        </div>
      )}
    </>
  );
}

import type { Schemas } from '../api/client';
import { useComputed } from '../field/useComputed';
import { Beside } from './findings';
import { type LandmarkDraft, LandmarkFields, landmarkOf, NO_LANDMARK } from './LandmarkFields';
import { PhotoField } from './PhotoField';

export interface TransitDraft {
  near: LandmarkDraft;
  far: LandmarkDraft;
}

export function draftsOfTransits(transits: Schemas['Transit'][] | null | undefined): TransitDraft[] {
  const draft = (mark: Schemas['Landmark']): LandmarkDraft => ({
    name: mark.name,
    latitude: mark.latitudeDeg == null ? '' : String(mark.latitudeDeg),
    longitude: mark.longitudeDeg == null ? '' : String(mark.longitudeDeg),
    photo: mark.photo,
  });
  const given = (transits ?? []).map(({ near, far }) => ({ near: draft(near), far: draft(far) }));
  return [given[0] ?? { near: NO_LANDMARK, far: NO_LANDMARK }, given[1] ?? { near: NO_LANDMARK, far: NO_LANDMARK }];
}

/** The lines that are filled in; undefined where one is only half filled. */
export function transitsOf(drafts: TransitDraft[]): Schemas['Transit'][] | undefined {
  const begun = drafts.filter(({ near, far }) => near.name.trim() || far.name.trim());
  return begun.every(({ near, far }) => near.name.trim() && far.name.trim())
    ? begun.map(({ near, far }) => ({ near: landmarkOf(near), far: landmarkOf(far) }))
    : undefined;
}

/** Two pairs of landmarks, each in line from the station; with their positions the crossing angle is shown. */
export function Transits({
  water,
  drafts,
  onChange,
}: {
  water: string;
  drafts: TransitDraft[];
  onChange(drafts: TransitDraft[]): void;
}) {
  const transits = transitsOf(drafts) ?? [];
  const { data: crossing } = useComputed('transit-crossing', transits.length < 2 ? undefined : { transits });
  return (
    <>
      <p className="mt-1 text-dim text-sm">
        Two things ashore that stand one behind the other, seen from the station; twice. Chosen so that they will stand there in
        ten years.
      </p>
      {drafts.map((draft, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the first line and the second
        <fieldset key={i} className="mt-3">
          <legend className="caps">{i === 0 ? 'First line' : 'Second line'}</legend>
          <LandmarkFields
            label="Near mark"
            draft={draft.near}
            onChange={(near) => onChange(drafts.with(i, { ...draft, near }))}
          />
          <LandmarkFields label="Far mark" draft={draft.far} onChange={(far) => onChange(drafts.with(i, { ...draft, far }))} />
          <PhotoField
            label={`Photograph of the ${i === 0 ? 'first' : 'second'} line`}
            water={water}
            photo={draft.near.photo}
            onChange={(photo) => onChange(drafts.with(i, { ...draft, near: { ...draft.near, photo } }))}
          />
        </fieldset>
      ))}
      {crossing?.angleDeg != null && (
        <p className="mt-2">
          The lines cross at <b className="num text-slate">{crossing.angleDeg}°</b>.
        </p>
      )}
      <Beside field="transits" findings={crossing?.findings ?? []} />
    </>
  );
}

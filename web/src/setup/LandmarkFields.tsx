import type { Schemas } from '../api/client';
import { numberOf } from '../ui/number';

export interface LandmarkDraft {
  name: string;
  latitude: string;
  longitude: string;
  photo?: string | null | undefined;
}

export const NO_LANDMARK: LandmarkDraft = { name: '', latitude: '', longitude: '' };

export function landmarkOf(draft: LandmarkDraft): Schemas['Landmark'] {
  return {
    name: draft.name.trim(),
    latitudeDeg: numberOf(draft.latitude) ?? null,
    longitudeDeg: numberOf(draft.longitude) ?? null,
    ...(draft.photo && { photo: draft.photo }),
  };
}

/** A landmark on one line: its name, and its position where it is charted. */
export function LandmarkFields({
  label,
  draft,
  onChange,
}: {
  label: string;
  draft: LandmarkDraft;
  onChange(draft: LandmarkDraft): void;
}) {
  return (
    <div className="mt-1.5 grid grid-cols-2 gap-2 sm:grid-cols-[1fr_8rem_8rem]">
      <input
        className="field max-sm:col-span-2"
        aria-label={label}
        placeholder={label}
        value={draft.name}
        maxLength={80}
        onChange={(event) => onChange({ ...draft, name: event.target.value })}
      />
      <input
        className="field num text-sm"
        aria-label={`${label}, latitude`}
        placeholder="latitude"
        value={draft.latitude}
        onChange={(event) => onChange({ ...draft, latitude: event.target.value })}
      />
      <input
        className="field num text-sm"
        aria-label={`${label}, longitude`}
        placeholder="longitude"
        value={draft.longitude}
        onChange={(event) => onChange({ ...draft, longitude: event.target.value })}
      />
    </div>
  );
}

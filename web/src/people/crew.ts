import type { Schemas, StationRecord } from '../api/client';
import { compute } from '../field/core';
import { newId } from '../field/entries';
import { readSetting, writeSetting } from '../field/store';
import { currentSession } from './session';

type Known = Schemas['PersonNames'];

/** People without an account who were aboard with this device. */
const CREW = 'crew';

/** Whoever may be meant by a name at a station, the likeliest first. */
async function knownAt(record: StationRecord): Promise<Known[]> {
  const { known } = currentSession();
  return [
    ...(known ? [{ id: known.id, names: [known.name] }] : []),
    ...(record.context.people ?? []),
    // What was fetched by an earlier build has no crew yet.
    ...(record.crew ?? []).flatMap(({ id, name }) => (id ? [{ id, names: [name] }] : [])),
    ...(await readSetting<Known[]>(CREW, [])),
  ];
}

/** Names that are often meant at a station, to choose from. */
export async function namesAt(record: StationRecord): Promise<string[]> {
  return [...new Set((await knownAt(record)).flatMap(({ names }) => names.slice(0, 1)))];
}

/** The ids of observers: of their accounts where they have one; a person without gets one on this device, and keeps it. */
export async function idsOf(names: string[], record: StationRecord): Promise<string[]> {
  const known = await knownAt(record);
  const ids: string[] = [];
  for (const name of names) {
    const { ids: found } = await compute('crew', { names: [name], known });
    const id = found[0] ?? newId();
    if (!found[0]) {
      const made = { id, names: [name] };
      known.push(made);
      await writeSetting(CREW, [...(await readSetting<Known[]>(CREW, [])), made]);
    }
    ids.push(id);
  }
  return ids;
}

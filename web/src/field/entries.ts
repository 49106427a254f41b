import { v7 as uuid } from 'uuid';
import type { Entry, Schemas } from '../api/client';
import { currentSession } from '../people/session';
import { nowLocal, nowMs } from './clock';
import { compute } from './core';
import { deliverAfterDrawing } from './delivery';
import { deviceName } from './device';
import { keepApart } from './outbox';
import { readSetting, store, writeSetting } from './store';
import { setTrouble, storeTrouble } from './trouble';
import { foldAhead } from './visits';

/** The body of each kind of entry, as the server describes them. */
export interface EntryBodies {
  'visit-started': Schemas['VisitStartedBody'];
  'visit-moved': Schemas['VisitMovedBody'];
  sounding: Schemas['SoundingBody'];
  'disc-mark': Schemas['DiscMarkBody'];
  'disc-outcome': Schemas['DiscOutcomeBody'];
  fix: Schemas['FixBody'];
  landmarks: Schemas['LandmarksBody'];
  conditions: Schemas['ConditionsBody'];
  'disc-conditions': Schemas['DiscConditionsBody'];
  colour: Schemas['ColourBody'];
  opinion: Schemas['OpinionBody'];
  'meter-check': Schemas['MeterCheckBody'];
  level: Schemas['LevelBody'];
  'logged-cast': Schemas['LoggedCastBody'];
  reread: Schemas['RereadBody'];
  'bottle-depth': Schemas['BottleDepthBody'];
  cast: Schemas['CastBody'];
  fill: Schemas['FillBody'];
  'composite-try': Schemas['CompositeTryBody'];
  'step-skipped': Schemas['StepSkippedBody'];
  'step-order': Schemas['StepOrderBody'];
  'worked-by-hand': Schemas['WorkedByHandBody'];
  aboard: Schemas['AboardBody'];
  taken: Schemas['TakenBody'];
  strike: Schemas['EmptyBody'];
  kept: Schemas['KeptBody'];
  asked: Schemas['AskedBody'];
  answered: Schemas['AnsweredBody'];
  'signed-off': Schemas['SignedOffBody'];
  'visit-closed': Schemas['EmptyBody'];
  'sample-added': Schemas['SampleAddedBody'];
  filter: Schemas['FilterBody'];
  'filter-fill': Schemas['FilterFillBody'];
  labelled: Schemas['LabelledBody'];
  preserved: Schemas['PreservedBody'];
  stored: Schemas['StoredBody'];
  'handed-over': Schemas['HandedOverBody'];
  'sample-lost': Schemas['SamplesBody'];
  received: Schemas['ReceivedBody'];
  'sample-rejected': Schemas['SamplesBody'];
  measured: Schemas['MeasuredBody'];
  result: Schemas['ResultBody'];
  reported: Schemas['SamplesBody'];
  flow: Schemas['FlowBody'];
  observation: Schemas['ObservationBody'];
}

// The version of the bodies above, where it is not the first; the core of the same build reads and writes the same.
const VERSIONS: Partial<Record<keyof EntryBodies, number>> = { conditions: 2, 'composite-try': 2 };

/** The version in which this build writes a kind of entry. */
export const versionOf = (kind: keyof EntryBodies): number => VERSIONS[kind] ?? 1;

export interface NewEntry<Kind extends keyof EntryBodies> {
  visit: string;
  kind: Kind;
  body: EntryBodies[Kind];
  strikes?: string;
  why?: string;
  /** Where another entry of the same moment names it. */
  id?: string;
  /** When it was read, where that is not now: a sheet typed in afterwards. */
  at?: string;
}

let lastId = { msecs: Number.NaN, seq: 0 };

/** An id for a visit or an entry: UUIDv7, made on the device; those of one moment sort in the order in which they were made. */
export function newId(): string {
  const msecs = nowMs();
  // A new moment begins in the lower half of what can be counted, so that it does not run over.
  lastId = { msecs, seq: msecs === lastId.msecs ? lastId.seq + 1 : Math.floor(Math.random() * 2 ** 31) };
  return uuid(lastId);
}

/** A visit that is typed in from a sheet: its entries bear the time of the sheet; their ids say when they were typed. */
export async function typeFromSheet(visit: string, at: string): Promise<void> {
  await writeSetting(`sheet ${visit}`, at);
}

/** Writes what is done after the boat: it bears its own time, also where the visit was typed from a sheet. */
export async function writeAshore(...entries: NewEntry<keyof EntryBodies>[]): Promise<void> {
  const at = nowLocal();
  await write(...entries.map((entry) => ({ at, ...entry })));
}

/** True for what belongs to a visit of practice: it begins at a place of practice, and never leaves the device. */
async function practice(made: Entry[]): Promise<boolean> {
  const started = made.find(({ kind }) => kind === 'visit-started')?.body as Schemas['VisitStartedBody'] | undefined;
  return started
    ? (await store.stations.get(started.station))?.practice === true
    : (
        await store.entries
          .where('visit')
          .equals(made[0]?.visit ?? '')
          .first()
      )?.state === 'practice';
}

/** Writes entries on this device, all of them or none, and asks for their delivery; answers with their ids. */
export async function write(...entries: NewEntry<keyof EntryBodies>[]): Promise<string[]> {
  const known = currentSession().known;
  const by = known?.name ?? 'unknown';
  const visits = [...new Set(entries.map(({ visit }) => visit))];
  const [device, ...times] = await Promise.all([deviceName(), ...visits.map((visit) => readSetting(`sheet ${visit}`, ''))]);
  const made: Entry[] = entries.map((entry) => ({
    version: versionOf(entry.kind),
    at: times[visits.indexOf(entry.visit)] || nowLocal(),
    by,
    ...(known && { person: known.id }),
    device,
    id: newId(),
    ...entry,
  }));
  for (const entry of made) {
    const { refusal } = await compute('check-entry', entry);
    if (refusal) {
      throw new Error(`${refusal.seen} ${refusal.act}`);
    }
  }
  foldAhead(made);
  const practised = await practice(made);
  try {
    // One transaction: all of them or none.
    await store.transaction('rw', store.entries, () =>
      store.entries.bulkAdd(
        made.map((entry) => ({
          id: entry.id,
          visit: entry.visit,
          state: practised ? ('practice' as const) : ('waiting' as const),
          entry,
          ...(known && { person: known.id }),
        })),
      ),
    );
  } catch (error) {
    const words = storeTrouble(error as Error);
    setTrouble(words);
    throw new Error(words);
  }
  setTrouble('');
  void keepApart();
  deliverAfterDrawing();
  return made.map(({ id }) => id);
}

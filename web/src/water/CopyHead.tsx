import { useLiveQuery } from 'dexie-react-hooks';
import type { FieldSheet, Schemas, StationRecord } from '../api/client';
import { write } from '../field/entries';
import { store } from '../field/store';
import { clockTime } from '../ui/days';

/** Where another station was visited today on this device: its people and weather in one touch. */
export function CopyHead({ sheet, station }: { sheet: FieldSheet; station: StationRecord }) {
  const day = sheet.startedAt?.slice(0, 10);
  const earlier = useLiveQuery(async () => {
    const visits = (await store.visits.toArray()).filter(
      (visit) => visit.visit !== sheet.visit && visit.startedAt.slice(0, 10) === day && visit.startedAt < (sheet.startedAt ?? ''),
    );
    const last = visits.sort((a, b) => a.startedAt.localeCompare(b.startedAt)).at(-1);
    if (!last) {
      return null;
    }
    const entries = (await store.entries.where('visit').equals(last.visit).toArray()).map(({ entry }) => entry);
    const struck = new Set(entries.map((entry) => entry.strikes));
    const heads = entries
      .filter((entry) => entry.kind === 'conditions' && !struck.has(entry.id))
      .sort((a, b) => a.at.localeCompare(b.at))
      .map((entry) => entry.body as Schemas['ConditionsBody']);
    return heads.length > 0 ? { last, head: Object.assign({}, ...heads) as Schemas['ConditionsBody'] } : null;
  }, [sheet.visit, day]);
  if (!earlier || sheet.arrival.boxes.length > 0 || sheet.state === 'closed') {
    return null;
  }
  const { last, head } = earlier;
  return (
    <button
      type="button"
      className="act mt-3 w-full sm:w-auto"
      onClick={() => {
        // What belongs to the spot is answered at the spot.
        const { anchored: _, stage: __, surface: ___, smell: ____, ...same } = head;
        void write({ visit: sheet.visit, kind: 'conditions', body: same });
      }}
    >
      {last.station === station.context.station.code ? 'As before' : `As at ${last.station}`}, {clockTime(last.startedAt)}
    </button>
  );
}

import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { writeAshore } from '../field/entries';
import { realStations } from '../field/store';
import { Reason } from '../ui/Reason';
import { SelectField } from '../ui/SelectField';

/**
 * A visit that was begun at the wrong station is moved to the right one, with a reason. Offered are stations of the waters one
 * coordinates.
 */
export function MoveVisit({ visit, from }: { visit: string; from: string }) {
  const [asking, setAsking] = useState(false);
  const [to, setTo] = useState('');
  const stations = useLiveQuery(realStations, []);
  const others = (stations ?? []).flatMap(({ code, record }) =>
    record.mayReview && code !== from
      ? [[code, `${record.context.station.water}, ${record.context.station.name} (${code})`] as const]
      : [],
  );
  if (others.length === 0) {
    return null;
  }
  if (!asking) {
    return (
      <button type="button" className="act mt-2" onClick={() => setAsking(true)}>
        Made at another station…
      </button>
    );
  }
  return (
    <section className="mt-3 max-w-xl border border-rule bg-sheet p-3" aria-label="Move this visit">
      <SelectField
        label="Where it was made"
        value={to}
        options={{ '': 'Choose the station', ...Object.fromEntries(others.toSorted((a, b) => a[1].localeCompare(b[1]))) }}
        onChange={setTo}
        hint="It is judged and compared as that station’s; bottles keep their labels, and a sign-off ends."
      />
      {to && (
        <Reason
          title="How is that known?"
          suggestions={['the wrong name was touched', 'the position says so', 'the sampler says so']}
          confirm="Move it"
          onGiven={(why) => {
            setAsking(false);
            setTo('');
            void writeAshore({ visit, kind: 'visit-moved', body: { station: to }, why });
          }}
          onCancel={() => {
            setAsking(false);
            setTo('');
          }}
        />
      )}
      {!to && (
        <button type="button" className="act mt-2" onClick={() => setAsking(false)}>
          Leave as it is
        </button>
      )}
    </section>
  );
}

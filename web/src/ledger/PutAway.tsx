import { useState } from 'react';
import type { Schemas } from '../api/client';
import { lastSpot, rememberSpot } from '../bench/spot';
import { writeAshore } from '../field/entries';
import type { LedgerSample } from '../field/ledger';
import { Check } from '../ui/Check';
import { ChoiceBox } from '../ui/ChoiceBox';
import { TextField } from '../ui/TextField';
import { byVisit } from './byVisit';

/** Puts samples away: where, in which box, how cold it is there. */
export function PutAway({ samples, onDone }: { samples: LedgerSample[]; onDone(): void }) {
  const [shelf, setShelf] = useState<Schemas['StorePlace']>(samples[0]?.usualPlace ?? 'cooler');
  const [spot, setSpot] = useState(samples.length === 1 ? (samples[0]?.spot ?? lastSpot()) : lastSpot());
  const [temperature, setTemperature] = useState('');
  const vials = samples.some(({ needsFoil }) => needsFoil);
  const [foil, setFoil] = useState(samples.every((sample) => sample.foil === true));
  return (
    <form
      className="mt-3 panel"
      aria-label="Put away"
      onSubmit={async (event) => {
        event.preventDefault();
        rememberSpot(spot);
        await writeAshore(
          ...byVisit(samples).map(([visit, numbers]) => ({
            visit,
            kind: 'stored' as const,
            body: {
              samples: numbers,
              in: shelf,
              ...(spot.trim() && { spot: spot.trim() }),
              ...(temperature.trim() && { temperatureC: temperature.trim() }),
              ...(vials && { foil }),
            },
          })),
        );
        onDone();
      }}
    >
      <ChoiceBox box="stored.in" value={shelf} onChoose={setShelf} />
      <div className="grid gap-x-5 sm:grid-cols-2">
        <TextField label="Which box, which place" value={spot} onChange={setSpot} maxLength={40} />
        <TextField label="It shows, °C" value={temperature} onChange={setTemperature} maxLength={8} hint="May be left empty." />
      </div>
      {vials && shelf === 'freezer' && (
        <Check className="mt-3" checked={foil} onCheck={setFoil}>
          Each vial wholly in foil
        </Check>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="submit" className="act act-next" disabled={vials && shelf === 'freezer' && !foil}>
          Put away
        </button>
        <button type="button" className="act" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
  );
}

import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { DepthField } from './DepthField';
import { Beside, type FieldFinding, Summary } from './findings';
import { Track } from './Track';
import type { Water } from './water';

/** Where a sampler found a better place; a coordinator decides. */
export function ProposalForm({ water, onKept, onCancel }: { water: Water; onKept(): void; onCancel(): void }) {
  const [name, setName] = useState('');
  const [depth, setDepth] = useState<Schemas['WrittenLength']>({ written: '', unit: 'm' });
  const [latitude, setLatitude] = useState('');
  const [longitude, setLongitude] = useState('');
  const [why, setWhy] = useState('');
  const [findings, setFindings] = useState<FieldFinding[]>([]);
  const [meant, setMeant] = useState<Schemas['Position']>();
  const [problem, setProblem] = useState('');
  const take = (at: Schemas['Position']) => {
    setLatitude(String(at.latitudeDeg));
    setLongitude(String(at.longitudeDeg));
    setFindings((before) => before.filter(({ field }) => field !== 'position'));
    setMeant(undefined);
  };

  async function propose() {
    const [latitudeDeg, longitudeDeg] = [numberOf(latitude), numberOf(longitude)];
    if (latitudeDeg === undefined || longitudeDeg === undefined) {
      setProblem('The position needs a latitude and a longitude in decimal degrees.');
      return;
    }
    const { data, problem: refused } = await asked(() =>
      api.POST('/api/proposals', {
        body: {
          why,
          station: {
            code: '',
            name,
            waterCode: water.code,
            water: water.name,
            district: water.district,
            knownDepth: depth,
            latitudeDeg,
            longitudeDeg,
            radiusM: 30,
            levelAllowanceM: 0,
            shore: false,
            declinationDeg: 0,
          },
        },
      }),
    );
    setProblem(refused);
    setFindings(data?.findings ?? []);
    setMeant(data?.meant ?? undefined);
    if (data?.kept) {
      onKept();
    }
  }

  return (
    <form
      className="mt-4 max-w-2xl border border-ink bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        void propose();
      }}
    >
      <h2 className="text-xl">Propose a station</h2>
      <Track
        onTake={(point) => {
          take(point);
          setDepth({ written: String(point.depthM), unit: 'm' });
        }}
      />
      <div className="grid gap-x-6 sm:grid-cols-2">
        <div>
          <TextField label="Name" value={name} maxLength={80} onChange={setName} />
          <Beside field="name" findings={findings} />
        </div>
        <DepthField label="Depth" value={depth} onChange={setDepth} findings={findings} field="knownDepth" />
        <TextField label="Latitude" value={latitude} onChange={setLatitude} hint="Decimal degrees, north positive." />
        <TextField label="Longitude" value={longitude} onChange={setLongitude} hint="Decimal degrees, east positive." />
      </div>
      <Beside field="position" findings={findings} />
      {meant && (
        <button type="button" className="act mt-2" onClick={() => take(meant)}>
          Take {meant.latitudeDeg}, {meant.longitudeDeg}
        </button>
      )}
      <TextField label="Why there" value={why} maxLength={200} onChange={setWhy} hint="The coordinator was not on the boat." />
      <Beside field="why" findings={findings} />
      <Problem words={problem} />
      <Summary findings={findings} />
      <div className="mt-4 flex gap-3">
        <button type="submit" className="act act-next">
          Propose it
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

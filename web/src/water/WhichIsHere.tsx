import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { compute } from '../field/core';
import type { KeptStation } from '../field/store';
import { FindingNote } from '../ui/FindingNote';
import { Problem } from '../ui/Problem';

type Here = Schemas['StationsHereResult'];

/** Asks the device where it is, and Core which station that is. */
export function WhichIsHere({ stations, onFound }: { stations: KeptStation[]; onFound(here: Here): void }) {
  const [asking, setAsking] = useState(false);
  const [finding, setFinding] = useState<Here['finding']>();
  const [problem, setProblem] = useState('');

  async function look({ coords }: GeolocationPosition) {
    const here = await compute('stations-here', {
      at: { latitudeDeg: coords.latitude, longitudeDeg: coords.longitude },
      accuracyM: Math.round(coords.accuracy),
      stations: stations.map(({ code, record: { context } }) => ({
        code,
        at: { latitudeDeg: context.station.latitudeDeg, longitudeDeg: context.station.longitudeDeg },
        radiusM: context.station.radiusM,
      })),
    });
    setFinding(here.finding);
    onFound(here);
  }

  function ask() {
    setAsking(true);
    setProblem('');
    navigator.geolocation.getCurrentPosition(
      (position) =>
        void look(position)
          .catch((error: Error) => setProblem(error.message))
          .finally(() => setAsking(false)),
      (error) => {
        setAsking(false);
        setProblem(
          error.code === error.PERMISSION_DENIED
            ? 'This device may not say where it is. Choose the station by its name.'
            : 'No fix yet. Go out from under the roof, or choose the station by its name.',
        );
      },
      { enableHighAccuracy: true, timeout: 20_000, maximumAge: 0 },
    );
  }

  return (
    <div className="mt-3">
      <button type="button" className="act" disabled={asking || !('geolocation' in navigator)} onClick={ask}>
        {asking ? 'Waiting for a fix…' : 'Which station is here?'}
      </button>
      {finding && (
        <FindingNote finding={finding}>
          <Link to="/setup/waters" className="act">
            To the new-station form
          </Link>
        </FindingNote>
      )}
      <Problem words={problem} />
    </div>
  );
}

import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { compute } from '../field/core';
import { whereWeAre } from '../field/fix';
import type { KeptStation } from '../field/store';
import { FindingNote } from '../ui/FindingNote';
import { Problem } from '../ui/Problem';

type Here = Schemas['StationsHereResult'];

/** Asks the device where it is, and Core which station that is. */
export function WhichIsHere({ stations, onFound }: { stations: KeptStation[]; onFound(here: Here): void }) {
  const [asking, setAsking] = useState(false);
  const [finding, setFinding] = useState<Here['finding']>();
  const [problem, setProblem] = useState('');

  async function ask() {
    setAsking(true);
    setProblem('');
    try {
      const { latitude, longitude, accuracy } = await whereWeAre(0);
      const here = await compute('stations-here', {
        at: { latitudeDeg: latitude, longitudeDeg: longitude },
        accuracyM: Math.round(accuracy),
        stations: stations.map(({ code, record: { context } }) => ({
          code,
          at: { latitudeDeg: context.station.latitudeDeg, longitudeDeg: context.station.longitudeDeg },
          radiusM: context.station.radiusM,
        })),
      });
      setFinding(here.finding);
      onFound(here);
    } catch (error) {
      setProblem(`${(error as Error).message} Choose the station by its name.`);
    } finally {
      setAsking(false);
    }
  }

  return (
    <div className="mt-3">
      <button type="button" className="act" disabled={asking || !('geolocation' in navigator)} onClick={() => void ask()}>
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

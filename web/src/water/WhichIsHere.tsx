import { Link } from '@tanstack/react-router';
import { useEffect, useState } from 'react';
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
  const [at, setAt] = useState<GeolocationCoordinates>();
  const [finding, setFinding] = useState<Here['finding']>();
  const [problem, setProblem] = useState('');
  const key = stations
    .map(({ code }) => code)
    .sort()
    .join();

  // Stations may still be arriving when the fix is there: each that comes is judged by it, too.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the stations, whose order follows from the answer
  useEffect(() => {
    let current = true;
    if (at) {
      compute('stations-here', {
        at: { latitudeDeg: at.latitude, longitudeDeg: at.longitude },
        accuracyM: Math.round(at.accuracy),
        stations: stations.map(({ code, record: { context } }) => ({
          code,
          at: { latitudeDeg: context.station.latitudeDeg, longitudeDeg: context.station.longitudeDeg },
          radiusM: context.station.radiusM,
        })),
      }).then(
        (here) => {
          if (current) {
            setFinding(here.finding);
            onFound(here);
          }
        },
        (error: Error) => current && setProblem(error.message),
      );
    }
    return () => {
      current = false;
    };
  }, [at, key]);

  async function ask() {
    setAsking(true);
    setProblem('');
    try {
      setAt(await whereWeAre(0));
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

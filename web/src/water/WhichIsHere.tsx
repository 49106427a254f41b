import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { whereWeAre } from '../field/fix';
import { FindingNote } from '../ui/FindingNote';
import { Problem } from '../ui/Problem';

interface Props {
  finding: Schemas['StationsHereResult']['finding'] | undefined;
  /** Why Core could not say. */
  problem: string | undefined;
  onFix(at: GeolocationCoordinates): void;
}

/** Asks the device where it is; which station that is, Core says. */
export function WhichIsHere({ finding, problem, onFix }: Props) {
  const [asking, setAsking] = useState(false);
  const [failed, setFailed] = useState('');

  async function ask() {
    setAsking(true);
    setFailed('');
    try {
      onFix(await whereWeAre(0));
    } catch (error) {
      setFailed(`${(error as Error).message} Choose the station by its name.`);
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
      <Problem words={failed || problem || ''} />
    </div>
  );
}

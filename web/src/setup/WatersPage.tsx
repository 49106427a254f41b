import { Link, useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { api } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useSession } from '../people/session';
import { Problem } from '../ui/Problem';
import { WaterForm } from './WaterForm';
import { KINDS, NEW_WATER } from './water';

/** Every water of the group; the first thing a new group sets up. */
export function WatersPage() {
  const { known } = useSession();
  const waters = usePulled(() => api.GET('/api/waters'));
  const navigate = useNavigate();
  const [adding, setAdding] = useState(false);
  const none = waters.data?.length === 0;
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <h1 className="flex-1 text-2xl sm:text-3xl">Waters and stations</h1>
        {known?.coordinatesAll && !adding && (
          <button type="button" className="act act-next" onClick={() => setAdding(true)}>
            {none ? 'Set up the first water' : 'Add a water'}
          </button>
        )}
      </div>
      <Problem words={waters.problem} />
      {none && !adding && (
        <p className="mt-4 max-w-prose">
          Begin with the water: its name and district, and its outline if you have one. Then its stations, each with a programme;
          then the season can be planned.
        </p>
      )}
      {adding && (
        <div className="mt-4 border border-ink bg-sheet p-4">
          <WaterForm
            given={NEW_WATER}
            isNew
            onKept={(water) => void navigate({ to: '/setup/waters/$water', params: { water } })}
            onCancel={() => setAdding(false)}
          />
        </div>
      )}
      <ul className="mt-4 border-ink border-t-[1.5px]">
        {waters.data?.map(({ water, stations }) => (
          <li key={water.code} className="flex flex-wrap items-baseline gap-x-6 border-rule border-b py-3">
            <h2 className="min-w-0 flex-1 break-words text-xl">
              <Link to="/setup/waters/$water" params={{ water: water.code }} className="text-ink decoration-1">
                {water.name}
              </Link>
            </h2>
            <p className="text-dim">
              {water.district} · {KINDS[water.kind]} · {stations === 1 ? '1 station' : `${stations} stations`}
              {!water.outline?.length && ' · no outline yet'}
            </p>
          </li>
        ))}
      </ul>
    </>
  );
}

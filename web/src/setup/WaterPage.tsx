import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { UNITS } from '../ui/units';
import { Waiting } from '../ui/Waiting';
import { ProposalForm } from './ProposalForm';
import { Proposals } from './Proposals';
import { SketchMap } from './SketchMap';
import { StationForm } from './StationForm';
import { WaterForm } from './WaterForm';
import { KINDS } from './water';

/** One water: its sketch map, its stations, and what they are found by. */
export function WaterPage() {
  const { water: code } = useParams({ from: '/setup/waters/$water' });
  return <Water key={code} code={code} />;
}

type Open =
  | { what: 'water' }
  | { what: 'station'; code: string | null; proposed?: Schemas['Proposal'] }
  | { what: 'proposal' }
  | undefined;

function Water({ code }: { code: string }) {
  const detail = usePulled(() => api.GET('/api/waters/{code}', { params: { path: { code } } }));
  const [open, setOpen] = useState<Open>();
  if (!detail.data) {
    return <Waiting problem={detail.problem} />;
  }
  const { water, stations, nextCode, mayChange, mayPropose, proposals } = detail.data;
  const close = () => {
    setOpen(undefined);
    void detail.again();
  };
  if (open?.what === 'station') {
    return (
      <StationForm
        water={water}
        given={stations.find(({ station }) => station.code === open.code)}
        stations={stations}
        nextCode={nextCode}
        proposed={open.proposed}
        onKept={close}
        onCancel={() => setOpen(undefined)}
      />
    );
  }
  return (
    <>
      <p className="text-sm">
        <Link to="/setup/waters">All waters</Link>
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <div className="min-w-0 flex-1">
          <h1 className="break-words text-2xl sm:text-3xl">{water.name}</h1>
          <p className="text-dim">
            {water.district} · {KINDS[water.kind]} · {water.timeZone}
            {water.altitudeM ? ` · ${water.altitudeM} m above the sea` : ''}
            {water.otherNames?.length ? ` · also ${water.otherNames.join(', ')}` : ''}
          </p>
        </div>
        {!mayChange && mayPropose && open === undefined && (
          <button type="button" className="act act-next" onClick={() => setOpen({ what: 'proposal' })}>
            Propose a station
          </button>
        )}
        {mayChange && open === undefined && (
          <>
            <button type="button" className="act" onClick={() => setOpen({ what: 'water' })}>
              Change the water
            </button>
            <button
              type="button"
              className={`act ${proposals.length > 0 ? '' : 'act-next'}`}
              onClick={() => setOpen({ what: 'station', code: null })}
            >
              Add a station
            </button>
          </>
        )}
      </div>
      {open?.what === 'proposal' && <ProposalForm water={water} onKept={close} onCancel={() => setOpen(undefined)} />}
      <Proposals
        proposals={proposals}
        mayDecide={mayChange}
        onLook={(proposed) => setOpen({ what: 'station', code: null, proposed })}
        onChanged={() => void detail.again()}
      />
      {open?.what === 'water' ? (
        <div className="mt-4 border border-ink bg-sheet p-4">
          <WaterForm given={water} version={detail.data?.version} onKept={close} onCancel={() => setOpen(undefined)} />
        </div>
      ) : (
        <div className="mt-4 grid gap-6 lg:grid-cols-[1fr_26rem]">
          <ul className="border-ink border-t-[1.5px]">
            {stations.length === 0 && (
              <li className="py-4 text-dim">No station yet. One over the deepest place of each basin is usual.</li>
            )}
            {stations.map(({ station, programme }) => (
              <li key={station.code} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-rule border-b py-3">
                <div className="min-w-0 flex-1">
                  <h2 className="break-words text-lg">
                    <span className="num">{station.code}</span> {station.name}
                  </h2>
                  <p className="text-dim text-sm">
                    {station.knownDepth.written} {UNITS[station.knownDepth.unit ?? 'm'].short} deep ·{' '}
                    {station.latitudeDeg.toFixed(4)}, {station.longitudeDeg.toFixed(4)}· within {station.radiusM} m · {programme}
                  </p>
                  <p className="text-dim text-sm">
                    {station.transits?.length
                      ? station.transits.map((t) => `${t.near.name} in line with ${t.far.name}`).join('; ')
                      : 'no landmarks on file'}
                  </p>
                </div>
                {mayChange && (
                  <button type="button" className="act" onClick={() => setOpen({ what: 'station', code: station.code })}>
                    Change<span className="sr-only"> {station.code}</span>
                  </button>
                )}
              </li>
            ))}
          </ul>
          <SketchMap
            water={water}
            marks={stations.map(({ station }) => ({ at: station, label: station.name, kind: 'station' as const }))}
          />
        </div>
      )}
    </>
  );
}

import { Link, useParams } from '@tanstack/react-router';
import { useEffect } from 'react';
import { api } from '../api/client';
import { addressOf } from '../api/home';
import { usePulled } from '../api/usePulled';
import { useWords } from '../field/boxes';
import { useLedger } from '../field/ledger';
import { Receive } from '../laboratory/Receive';
import { StandIn } from '../laboratory/StandIn';
import { useSession } from '../people/session';
import { clockTime, longDay, shortDay } from '../ui/days';
import { PageFrame } from '../ui/PageFrame';

/** Samples that left together: the paper that goes with them, and what the laboratory does with them. */
export function ManifestPage() {
  const { id } = useParams({ from: '/ledger/manifest/$id' });
  const { known } = useSession();
  const { samples, pending, door } = useLedger();
  const [by, on] = [useWords('handed-over.by'), useWords('handed-over.on')];
  const {
    data: manifest,
    problem,
    again,
  } = usePulled(() => api.GET('/api/manifests/{id}', { params: { path: { id } } }), ['manifest', id]);
  const local = (samples ?? []).filter((sample) => sample.manifest === id);
  const unsent = local.some(({ visit }) => pending.has(visit));
  const state = JSON.stringify(local.map((sample) => [sample.number, sample.state, pending.has(sample.visit)]));
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked for again when its samples have moved
  useEffect(() => void again(), [state]);
  // What moved here since is newer; what this device does not hold stands on it all the same.
  const here = new Map(local.map((sample) => [sample.visit + sample.number, sample]));
  const elsewhere = (manifest?.samples ?? []).filter((sample) => !here.has(sample.visit + sample.number));
  const shown = [...local, ...elsewhere].sort((a, b) => (a.number < b.number ? -1 : 1));
  const left = shown[0]?.life.find(({ step }) => step === 'hand-over');
  if (shown.length === 0) {
    return (
      <div className="p-6">
        {manifest === undefined && problem === '' ? (
          <p className="text-dim">Opening the manifest…</p>
        ) : (
          <>
            <h1 className="text-2xl">This manifest is not on this device</h1>
            <p className="mt-2">
              Its hand-over may not have been sent yet. <Link to="/ledger">To the ledger</Link>
            </p>
          </>
        )}
      </div>
    );
  }
  const road = shown.filter((sample) => sample.state === 'handed-over');
  return (
    <PageFrame width="table">
      <p className="text-sm print:hidden">
        <Link to="/ledger">Ledger</Link>
      </p>
      <h1 className="text-2xl sm:text-3xl">
        {shown.length} {shown.length === 1 ? 'sample' : 'samples'} to {shown[0]?.to}
      </h1>
      <p className="mt-1 text-dim print:text-black">
        {left && `Left ${longDay(left.at)} ${clockTime(left.at)}`}
        {manifest &&
          `, ${by(manifest.by)}, ${manifest.on === 'nothing' ? '' : 'on '}${on(manifest.on)}${manifest.waybill ? `, waybill ${manifest.waybill}` : ''}${manifest.seal ? `, seal ${manifest.seal}` : ''}${manifest.temperatureC ? `, ${manifest.temperatureC} °C in the box` : ''}`}
        {unsent && ' · on this device only'}
      </p>
      <div className="mt-3 flex flex-wrap gap-2.5 print:hidden">
        <button
          type="button"
          className={`act ${known?.works && !known.reports && road.length > 0 ? 'act-next' : ''}`}
          onClick={() => print()}
        >
          Print it
        </button>
        {manifest && (
          <a className="act" href={addressOf(`/api/manifests/${id}/manifest.csv`)} download={`manifest-${id.slice(-6)}.csv`}>
            As CSV
          </a>
        )}
      </div>
      <div className="mt-4 overflow-x-auto">
        <table className="w-full border-ink border-t-[1.5px] text-left text-sm">
          <thead>
            <tr className="border-rule border-b align-bottom text-dim print:text-black">
              {['Number', 'Water, station', 'Collected', 'Depth', 'Measure', 'Volume', 'State'].map((head) => (
                <th key={head} scope="col" className="py-1 pr-4 font-bold">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((sample) => (
              <tr key={sample.visit + sample.number} className="border-rule border-b align-baseline">
                <th scope="row" className="whitespace-nowrap py-1.5 pr-4 font-normal">
                  <Link
                    to="/ledger/sample/$number"
                    params={{ number: sample.number }}
                    className="num inline-flex min-h-6 items-center font-bold text-ink decoration-1"
                  >
                    {sample.number}
                  </Link>
                  {sample.kin === 'replicate' && <b> REP</b>}
                  {sample.kin === 'blank' && <b> BLANK</b>}
                </th>
                <td className="py-1.5 pr-4">
                  {sample.water}, {sample.station}
                </td>
                <td className="num whitespace-nowrap py-1.5 pr-4">
                  {shortDay(sample.collectedAt ?? sample.day)} {sample.collectedAt && clockTime(sample.collectedAt)}
                </td>
                <td className="py-1.5 pr-4">{sample.depth}</td>
                <td className="py-1.5 pr-4">{sample.measures}</td>
                <td className="num whitespace-nowrap py-1.5 pr-4">{sample.volumeMl == null ? '' : `${sample.volumeMl} mL`}</td>
                <td className="py-1.5">{sample.stateText}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-8 grid max-w-3xl gap-8 sm:grid-cols-2 print:grid-cols-2">
        <Signature side="Handed over" name={manifest?.signature} at={manifest?.leftAt ?? left?.at} />
        <Signature side="Received" name={manifest?.receivedBy} at={manifest?.receivedAt} />
      </div>
      <div className="print:hidden">
        {known?.reports && road.length > 0 && manifest && !unsent && <Receive manifest={id} samples={road} />}
        {known?.reports && shown.some(({ toMeasure }) => toMeasure) && (
          <Link to="/ledger/manifest/$id/measure" params={{ id }} className="act act-next mt-6">
            Enter absorbances or fluorescence
          </Link>
        )}
        {door?.simulated && manifest && !unsent && <StandIn manifest={id} />}
      </div>
    </PageFrame>
  );
}

function Signature({ side, name, at }: { side: string; name?: string | null; at?: string | null }) {
  return (
    <div className="border-ink border-t pt-1">
      <p className="min-h-8 text-lg">{name ?? ' '}</p>
      <p className="text-dim text-sm print:text-black">
        {side}, {at ? `${longDay(at)} ${clockTime(at)}` : 'name, signature, day and time'}
      </p>
    </div>
  );
}

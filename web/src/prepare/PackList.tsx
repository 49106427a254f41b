import { useLiveQuery } from 'dexie-react-hooks';
import type { Schemas } from '../api/client';
import { store } from '../field/store';
import { useComputed } from '../field/useComputed';
import { FindingNote } from '../ui/FindingNote';
import type { Outing, PackNeed } from './outings';

const CRATES: Record<Schemas['Crate'], string> = {
  safety: 'Safety',
  clarity: 'Clarity',
  profile: 'Profile',
  bottles: 'Bottles',
  chlorophyll: 'Chlorophyll',
  paper: 'Paper',
  cold: 'Cold',
};

/** The pack list, crate by crate; ticks stay on this device. */
export function PackList({ outing, outingKey }: { outing: Outing; outingKey: string }) {
  const ticks = useLiveQuery(
    async () => new Set((await store.ticks.where('outing').equals(outingKey).toArray()).map(({ id }) => id)),
    [outingKey],
  );
  const ticked = (need: PackNeed) => ticks?.has(`${outingKey} ${need.key}`) ?? false;
  const left = outing.pack.filter((need) => !ticked(need));
  const { finding: safety } =
    useComputed(
      'before-casting-off',
      ticks && { ticks: outing.pack.map(({ key, words }) => ({ key, words, ticked: ticks.has(`${outingKey} ${key}`) })) },
    ).data ?? {};
  const crates = (Object.keys(CRATES) as Schemas['Crate'][]).filter((crate) => outing.pack.some((need) => need.crate === crate));
  const toggle = (need: PackNeed) => {
    const id = `${outingKey} ${need.key}`;
    void (ticked(need) ? store.ticks.delete(id) : store.ticks.put({ id, outing: outingKey }));
  };
  return (
    <section aria-label="Pack list">
      <h2 className="flex flex-wrap items-baseline gap-x-4 text-xl">
        Pack list
        <span className="font-normal text-base text-dim" role="status">
          {outing.pack.length - left.length} of {outing.pack.length} aboard
        </span>
      </h2>
      <div className="columns-1 gap-8 xl:columns-2">
        {crates.map((crate) => (
          <div key={crate} className="mt-3 break-inside-avoid-column">
            <h3 className="caps border-ink border-b-[1.5px] pb-1">{CRATES[crate]}</h3>
            <ul>
              {outing.pack
                .filter((need) => need.crate === crate)
                .map((need) => (
                  <Need key={need.key} need={need} ticked={ticked(need)} onToggle={() => toggle(need)} />
                ))}
            </ul>
          </div>
        ))}
      </div>
      {safety && left.length < outing.pack.length && <FindingNote finding={safety} />}
      {left.length > 0 && left.length < outing.pack.length && (
        <div className="mt-4 border border-dim bg-sheet p-3 text-[0.95rem]">
          <b>Not aboard yet:</b>
          <ul>
            {left.map((need) => (
              <li key={need.key}>
                Without {need.words}: no {need.stops}.
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

function Need({ need, ticked, onToggle }: { need: PackNeed; ticked: boolean; onToggle(): void }) {
  return (
    <li className="border-rule border-b">
      <label className="flex min-h-(--target) cursor-pointer gap-3 py-1.5">
        <input type="checkbox" className="mt-1 size-5 shrink-0 accent-(--reed)" checked={ticked} onChange={onToggle} />
        <span className={`min-w-0 flex-1 ${ticked ? 'text-dim' : ''}`}>
          {need.count > 1 && <b className="tabular-nums">{need.count} × </b>}
          {need.item && <b className="num">{need.item} </b>}
          {need.words}
          {need.counted && <span className="text-dim text-sm"> ({need.counted})</span>}
          {need.lookAt.length > 0 && !ticked && <span className="block text-dim text-sm">{need.lookAt.join(' · ')}</span>}
          {need.findings.map((finding) => (
            <span key={finding.code} className={`block text-sm ${finding.level === 'note' ? '' : 'text-madder'}`}>
              <b>{finding.seen}</b> {finding.act}
            </span>
          ))}
        </span>
      </label>
    </li>
  );
}

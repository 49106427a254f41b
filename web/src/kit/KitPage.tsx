import { useState } from 'react';
import { api } from '../api/client';
import { usePulled } from '../api/usePulled';
import { useSession } from '../people/session';
import { shortDay } from '../ui/days';
import { Waiting } from '../ui/Waiting';
import { ItemForm } from './ItemForm';
import { ItemPage } from './ItemPage';
import type { KitInfo } from './words';

/** Every item with what is due; what is overdue comes first. */
export function KitPage() {
  const { known } = useSession();
  const kit = usePulled(() => api.GET('/api/kit'));
  const rules = usePulled(() => api.GET('/api/kit/rules'));
  const [open, setOpen] = useState<string>();
  const [adding, setAdding] = useState(false);
  if (!kit.data || !rules.data) {
    return <Waiting problem={kit.problem || rules.problem} />;
  }
  const chosen = kit.data.find((info) => info.item.code === open);
  if (chosen) {
    return (
      <ItemPage
        key={chosen.item.code}
        info={chosen}
        rules={rules.data}
        mayChange={known?.coordinatesAll ?? false}
        onChanged={() => void kit.again()}
        onOpen={setOpen}
        onClose={() => setOpen(undefined)}
      />
    );
  }
  if (adding) {
    return (
      <ItemForm
        rules={rules.data}
        onKept={(code) => {
          setAdding(false);
          setOpen(code);
          void kit.again();
        }}
        onCancel={() => setAdding(false)}
      />
    );
  }
  const out = kit.data.filter(({ item }) => item.condition !== 'retired');
  const late = out.filter(({ due }) => due?.overdue);
  const well = out.filter(({ due }) => !due?.overdue);
  const given = kit.data.filter(({ item }) => item.condition === 'retired');
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <h1 className="flex-1 text-2xl sm:text-3xl">Kit</h1>
        {known?.coordinatesAll && (
          <button type="button" className="act act-next" onClick={() => setAdding(true)}>
            Add an item
          </button>
        )}
      </div>
      {kit.data.length === 0 && (
        <p className="mt-4 max-w-prose">
          A rope, a disc, a meter: each has a name of its own, because every reading depends on its marks and checks. Begin with
          the line that is in your boat.
        </p>
      )}
      <Items title="Due now" items={late} onOpen={setOpen} />
      <Items title={late.length > 0 ? 'In order' : 'Everything in order'} items={well} onOpen={setOpen} />
      <Items title="Given up" items={given} onOpen={setOpen} />
    </>
  );
}

function Items({ title, items, onOpen }: { title: string; items: KitInfo[]; onOpen(code: string): void }) {
  return items.length === 0 ? null : (
    <section aria-label={title} className="mt-5">
      <h2 className="caps border-ink border-b-[1.5px] pb-1">{title}</h2>
      <ul>
        {items.map(({ item, due, stations }) => (
          <li key={item.code} className="flex flex-wrap items-center gap-x-5 gap-y-1 border-rule border-b py-2.5">
            <p className="min-w-0 flex-1 basis-72">
              <b className="num">{item.code}</b> <b className="break-words">{item.name}</b>
              <span className="block text-dim text-sm">
                {[
                  item.keeper,
                  item.condition === 'mending' ? 'ashore, to be mended' : '',
                  stations.length > 0 ? `for ${stations.join(', ')}` : '',
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </p>
            <p className={`basis-72 text-sm ${due?.overdue ? 'font-bold text-madder' : 'text-dim'}`}>
              {due?.overdue
                ? due.finding?.seen
                : due?.on
                  ? item.usableUntil
                    ? `usable until ${shortDay(item.usableUntil)} ${item.usableUntil.slice(0, 4)}`
                    : `next check from ${shortDay(due.on)} ${due.on.slice(0, 4)}`
                  : ''}
            </p>
            <button type="button" className="act" onClick={() => onOpen(item.code)}>
              Open<span className="sr-only"> {item.code}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

import { useState } from 'react';
import type { Schemas } from '../api/client';
import { shortDay } from '../ui/days';
import { FindingNote } from '../ui/FindingNote';
import { UNITS } from '../ui/units';
import { CheckForm } from './CheckForm';
import { HistoryRow } from './HistoryRow';
import { ItemForm } from './ItemForm';
import { NewMarks } from './NewMarks';
import { CHECKS, CONDITIONS, type KitInfo, type KitRule } from './words';

interface Props {
  info: KitInfo;
  rules: readonly KitRule[];
  mayChange: boolean;
  onChanged(): void;
  onOpen(code: string): void;
  onClose(): void;
}

type Doing = { what: 'check'; kind: Schemas['KitCheckKind'] } | { what: 'change' } | { what: 'marks' } | undefined;

/** One item: what it is, what is due, its history, and the check to be written down. */
export function ItemPage({ info, rules, mayChange, onChanged, onOpen, onClose }: Props) {
  const { item, due, history, stations } = info;
  const rule = rules.find((r) => r.kind === item.kind);
  const [doing, setDoing] = useState<Doing>();
  const [said, setSaid] = useState<readonly string[]>();
  if (!rule) {
    return null;
  }
  const close = () => {
    setDoing(undefined);
    onChanged();
  };
  if (doing?.what === 'change') {
    return <ItemForm rules={rules} given={item} version={info.version} onKept={close} onCancel={() => setDoing(undefined)} />;
  }
  const facts = [
    item.keeper && `kept by ${item.keeper}`,
    item.marks &&
      `a mark each ${item.marks.every.written} ${UNITS[item.marks.every.unit ?? 'm'].short}, ${item.marks.usable.written} ${UNITS[item.marks.usable.unit ?? 'm'].short} to let out`,
    item.parts && `${item.parts} parts`,
    ...(item.figures ?? []).map((f) => `${rule.figures.find((r) => r.name === f.name)?.words ?? f.name}: ${f.value}`),
    item.usableUntil && `usable until ${shortDay(item.usableUntil)} ${item.usableUntil.slice(0, 4)}`,
    stations.length > 0 && `for ${stations.join(', ')}`,
    item.condition && item.condition !== 'in-use' && CONDITIONS[item.condition],
    item.remark,
  ].filter(Boolean);
  const stretched = mayChange && due?.finding?.code === 'line-stretched';
  const checks = item.condition === 'retired' ? [] : rule.checks;
  return (
    <>
      <button type="button" className="act-quiet -ml-1 text-sm" onClick={onClose}>
        All of the kit
      </button>
      <p className="caps">{rule.words}</p>
      <h1 className="break-words text-2xl sm:text-3xl">
        <span className="num">{item.code}</span> {item.name}
      </h1>
      <p className="mt-1 text-dim">{facts.join(' · ')}</p>
      {due?.finding && !doing && <FindingNote finding={due.finding} />}
      {said && (
        <div className="mt-3 border-reed border-l-4 bg-sheet p-3" role="status">
          <b>Kept.</b>{' '}
          {said.length > 0
            ? 'Readings made with it are worked out anew; what was read stays as it was:'
            : 'No published clarity changes with it.'}
          {said.length > 0 && (
            <ul className="mt-1 max-h-60 overflow-auto text-sm">
              {said.map((change) => (
                <li key={change}>{change}</li>
              ))}
            </ul>
          )}
        </div>
      )}
      {doing?.what === 'check' && (
        <CheckForm
          item={item}
          rule={rule}
          kind={doing.kind}
          onKept={(changes) => {
            setSaid(changes);
            close();
          }}
          onCancel={() => setDoing(undefined)}
        />
      )}
      {doing?.what === 'marks' && (
        <NewMarks
          item={item}
          onKept={(code) => {
            onChanged();
            onOpen(code);
          }}
          onCancel={() => setDoing(undefined)}
        />
      )}
      {!doing && (
        <div className="mt-4 flex flex-wrap gap-3">
          {checks.map((kind) => (
            <button
              key={kind}
              type="button"
              className={`act ${due?.overdue && kind === rule.due && !stretched ? 'act-next' : ''}`}
              onClick={() => {
                setSaid(undefined);
                setDoing({ what: 'check', kind });
              }}
            >
              {CHECKS[kind]}
            </button>
          ))}
          {mayChange && item.marks && item.condition !== 'retired' && (
            <button type="button" className={`act ${stretched ? 'act-next' : ''}`} onClick={() => setDoing({ what: 'marks' })}>
              New marks in another colour
            </button>
          )}
          {mayChange && (
            <button type="button" className="act" onClick={() => setDoing({ what: 'change' })}>
              Change
            </button>
          )}
        </div>
      )}
      <h2 className="mt-6 border-ink border-b-[1.5px] text-xl">History</h2>
      {history.length === 0 && <p className="mt-2 text-dim">No check is written down yet.</p>}
      <ul>
        {history.map((checked) => (
          <HistoryRow
            key={checked.check.id}
            code={item.code}
            checked={checked}
            onStruck={(changes) => {
              setSaid(changes);
              onChanged();
            }}
          />
        ))}
      </ul>
    </>
  );
}

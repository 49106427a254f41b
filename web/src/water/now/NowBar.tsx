import { ChevronDown, ChevronUp } from 'lucide-react';
import { type FocusEvent, useRef, useState } from 'react';
import { write } from '../../field/entries';
import { clockTime } from '../../ui/days';
import { FindingNote, LevelMark } from '../../ui/FindingNote';
import { KEEPS_KEYBOARD } from '../../ui/focusNext';
import { useHere } from './here';
import { Repairs } from './Repairs';
import { repairsOf } from './repairs';
import { keyOf } from './worst';

const PLACE =
  'print:hidden sticky bottom-0 z-10 -mx-7 border-rule border-t bg-paper px-7 boat:fixed boat:inset-x-0 boat:bottom-16 boat:mx-0 boat:px-3';

/** Always in the same place and of the same height: the worst open thing about what was just written, else what was written. */
export function NowBar() {
  const here = useHere();
  const [asking, setAsking] = useState(false);
  // Where the keyboard was: it goes back there once something was answered here.
  const before = useRef<HTMLElement>(undefined);
  if (!here) {
    return null;
  }
  const { said, inBar, newest, held, hold } = here;
  const finding = said ?? inBar;
  if (!finding) {
    return (
      <section aria-label="Written last" className={`${PLACE} flex h-24 items-center gap-2`}>
        {newest ? (
          <p className="line-clamp-3 min-w-0 text-sm" aria-live="polite">
            <span className="text-reed" aria-hidden="true">
              ✓{' '}
            </span>
            <span className="text-dim">Written {clockTime(newest.at)}:</span> <span className="num">{newest.text}</span>
          </p>
        ) : (
          <p className="text-dim text-sm">What is written is read back here.</p>
        )}
      </section>
    );
  }
  const key = keyOf(finding);
  const away = (event: FocusEvent) => {
    if (event.relatedTarget instanceof HTMLElement && !event.currentTarget.contains(event.relatedTarget)) {
      before.current = event.relatedTarget;
    }
  };
  // While it is unfolded it stays, whatever is found meanwhile.
  const open = (reason: boolean) => {
    setAsking(reason);
    hold(key);
  };
  const back = () => {
    hold(undefined);
    before.current?.focus({ preventScroll: true });
  };
  // Something typed and not yet written has nothing to mend, and nothing that could be kept.
  const repairs = (said ? [] : repairsOf(finding, here)).map((repair) => ({
    ...repair,
    run: () => {
      back();
      repair.run();
    },
  }));
  const keepable = !said && finding.level !== 'note' && !finding.noWayRound;
  const keep = (why: string) => {
    back();
    void write({ visit: here.sheet.visit, kind: 'kept', body: { finding: finding.code, about: finding.about }, why });
  };
  if (held === key) {
    return (
      <section
        aria-label="Ways to mend it"
        {...KEEPS_KEYBOARD}
        onFocus={away}
        className={`${PLACE} max-h-[75dvh] min-h-24 overflow-auto pb-3 shadow-[0_-8px_24px_rgb(0_0_0/0.15)]`}
      >
        <FindingNote key={`${key} ${asking}`} finding={finding} onKeep={keepable ? keep : undefined} asks={asking}>
          <Repairs repairs={repairs} />
        </FindingNote>
        <button type="button" className="act-quiet mt-1 inline-flex items-center gap-1" onClick={back}>
          <ChevronDown size={18} aria-hidden="true" /> Fold it up
        </button>
      </section>
    );
  }
  const [first] = repairs;
  return (
    <section
      aria-label={`${LEVELS[finding.level]}: ${finding.seen}`}
      role={finding.level === 'stop' ? 'alert' : undefined}
      onFocus={away}
      className={`${PLACE} flex h-24 items-center gap-2.5`}
    >
      <LevelMark level={finding.level} />
      <p className="line-clamp-4 min-w-0 flex-1 text-sm leading-snug">
        <b>{finding.seen}</b> {finding.why} {finding.act}
      </p>
      {!first && !keepable ? (
        <button type="button" className="act-quiet shrink-0 text-sm" aria-expanded={false} onClick={() => open(false)}>
          Read it all
        </button>
      ) : (
        <span className="flex w-36 shrink-0 flex-col items-stretch">
          <button
            type="button"
            className="act !min-h-11 !px-2 text-sm leading-tight"
            onClick={first && !first.either ? first.run : () => open(!first)}
          >
            {first ? (first.either ? 'Choose one' : first.label) : 'Keep, because…'}
          </button>
          {first && !first.either && (repairs.length > 1 || keepable) && (
            <button
              type="button"
              className="act-quiet !min-h-10 inline-flex items-center justify-center gap-1 text-sm"
              aria-expanded={false}
              onClick={() => open(false)}
            >
              <ChevronUp size={16} aria-hidden="true" /> Other ways
            </button>
          )}
        </span>
      )}
    </section>
  );
}

const LEVELS = { stop: 'Stop', check: 'Check', note: 'Note' };

import { type ReactNode, useState } from 'react';
import type { Finding } from '../api/client';
import { Reason } from './Reason';

const SHAPES = {
  stop: { name: 'Stop', colour: 'text-madder', border: 'border-madder', path: 'M8 2h8l6 6v8l-6 6H8l-6-6V8z' },
  check: { name: 'Check', colour: 'text-buoy', border: 'border-buoy', path: 'M12 3 23 21H1z' },
  note: { name: 'Note', colour: 'text-slate', border: 'border-rule', path: 'M4 3h16v18H4z' },
} as const;

/** The shape of a finding's level: never colour alone. */
export function LevelMark({
  level,
  open = true,
  className = 'size-6',
}: {
  level: Finding['level'];
  open?: boolean;
  className?: string;
}) {
  const shape = SHAPES[level];
  return (
    <svg viewBox="0 0 24 24" className={`${className} shrink-0 ${shape.colour}`} aria-hidden="true">
      <path d={shape.path} fill={open && level !== 'note' ? 'currentColor' : 'none'} stroke="currentColor" strokeWidth="2" />
      {level !== 'note' && (
        <path d="M12 8.5v6M12 17v1.6" stroke={open ? 'var(--sheet)' : 'currentColor'} strokeWidth="2.4" fill="none" />
      )}
      {level === 'note' && <path d="M8 9h8M8 13h8" stroke="currentColor" strokeWidth="2" />}
    </svg>
  );
}

/** A finding beside what it speaks of: what was seen, why it matters, what to do. */
export function FindingNote({
  finding,
  children,
  onKeep,
  asks = false,
}: {
  finding: Finding;
  /** The likely repairs, the first one first. */
  children?: ReactNode;
  /** Offers to go on with a reason. */
  onKeep?: ((why: string) => void) | undefined;
  /** True where the reason is asked for at once. */
  asks?: boolean;
}) {
  const [asking, setAsking] = useState(asks);
  const shape = SHAPES[finding.level];
  const open = finding.kept == null;
  return (
    <section
      className={`mt-3 flex gap-3 border bg-sheet p-3.5 ${open ? shape.border : 'border-rule'}`}
      aria-label={`${shape.name}: ${finding.seen}`}
      role={finding.level === 'stop' && open ? 'alert' : undefined}
    >
      <LevelMark level={finding.level} open={open} />
      <div className="min-w-0 flex-1">
        <p>
          <span className="sr-only">{shape.name}. </span>
          <b>{finding.seen}</b> {finding.why} {finding.act}
        </p>
        {finding.kept != null && (
          <p className="mt-1 text-dim">
            Kept: <i>{finding.kept}</i>
          </p>
        )}
        {open && !asking && (children || onKeep) && (
          <div className="mt-2.5 flex flex-wrap gap-2">
            {children}
            {onKeep && !finding.noWayRound && (
              <button type="button" className="act" onClick={() => setAsking(true)}>
                Keep, because…
              </button>
            )}
          </div>
        )}
        {asking && onKeep && (
          <Reason
            title="Why does it stand?"
            suggestions={[...(finding.reasons ?? [])]}
            confirm="Keep it"
            onGiven={(why) => {
              setAsking(false);
              onKeep(why);
            }}
            onCancel={() => setAsking(false)}
          />
        )}
      </div>
    </section>
  );
}

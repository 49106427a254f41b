import type { Schemas } from '../api/client';
import { useNow } from '../ui/useNow';

const MINUTE_MS = 60_000;

/** A clock of a protocol: how long since, or how long still. It informs and never holds anybody up. */
export function ClockLine({ clock }: { clock: Schemas['SheetClock'] }) {
  const now = Date.parse(useNow(1000));
  const left = clock.until ? Date.parse(clock.until) - now : undefined;
  const since = clock.from ? now - Date.parse(clock.from) : undefined;
  return (
    <p className={`mt-2 border-l-4 pl-2 ${left !== undefined && left < 0 ? 'border-madder' : 'border-slate'}`}>
      {clock.name}:{' '}
      <b className="num text-xl">
        {left !== undefined ? `${span(Math.abs(left))}${left < 0 ? ' over' : ' left'}` : since !== undefined ? span(since) : ''}
      </b>{' '}
      <span className="text-dim">{clock.words}</span>
    </p>
  );
}

function span(ms: number): string {
  const minutes = Math.floor(ms / MINUTE_MS);
  return minutes < 60
    ? `${minutes} min ${String(Math.floor((ms % MINUTE_MS) / 1000)).padStart(2, '0')} s`
    : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}

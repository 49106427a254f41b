import type { Schemas } from '../api/client';

const LOOKS = {
  overdue: { mark: '●', look: 'font-bold text-madder', word: 'overdue' },
  soon: { mark: '◐', look: 'text-buoy', word: 'soon' },
  calm: { mark: '○', look: 'text-dim', word: '' },
  none: { mark: '', look: 'text-dim', word: '' },
} as const;

/** How long a sample may still wait: calm, soon or overdue, by a mark and a word. */
export function ClockMark({ clock }: { clock: Schemas['SampleClock'] | undefined }) {
  if (!clock || clock.state === 'none') {
    return null;
  }
  const { mark, look, word } = LOOKS[clock.state];
  return (
    <span className={`text-sm ${look}`}>
      <span aria-hidden="true">{mark} </span>
      {word && `${word}: `}
      <span className="num">{clock.text}</span>
      {clock.moveText && <span className="text-dim">, {clock.moveText}</span>}
    </span>
  );
}

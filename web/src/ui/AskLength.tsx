import { useEffect, useId, useRef, useState } from 'react';
import type { LengthUnit } from '../api/client';
import { compute } from '../field/core';
import { useComputed } from '../field/useComputed';
import { useAppearance, useDensity } from './appearance';
import { FindingNote } from './FindingNote';
import { focusNext } from './focusNext';
import { Keypad } from './Keypad';
import { useSaid } from './said';
import { UNITS } from './units';

/** Asks for one depth: by keyboard at the desk, by large keys on the boat. Core says what was typed. */
export function AskLength({
  question,
  hint,
  unit,
  onGiven,
}: {
  question: string;
  hint?: string;
  unit: LengthUnit;
  onGiven: (written: string) => unknown;
}) {
  const id = useId();
  const reader = useAppearance().reader;
  const boat = useDensity() === 'boat';
  const box = useRef<HTMLInputElement>(null);
  const [written, setWritten] = useState('');
  const [asked, setAsked] = useState(false);

  const means = useComputed('length', { written, unit, reader });
  const understood = means.stale ? undefined : means.data;

  useEffect(() => {
    if (!boat) {
      focusNext(box.current);
    }
  }, [boat]);

  function type(next: string) {
    setWritten(next);
    setAsked(false);
  }

  async function give() {
    const { depthM } = understood ?? (await compute('length', { written, unit, reader }));
    setAsked(true);
    if (depthM != null) {
      await onGiven(written);
      setWritten('');
      setAsked(false);
    }
  }

  const finding = understood?.finding ?? undefined;
  const shown = finding && (asked || (finding.level === 'check' && written !== '')) ? finding : undefined;
  // On the boat nothing moves under a finger: it is said above the bar, where there is one.
  const above = useSaid(shown, boat);
  const wrong = finding?.level === 'stop' && asked;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void give();
      }}
      noValidate
    >
      <label htmlFor={id} className={boat ? 'block font-bold text-2xl leading-tight' : 'font-bold text-xl'}>
        {question}
      </label>
      {hint && <p className="mt-0.5 text-dim">{hint}</p>}
      <div className={`mt-3 flex items-baseline gap-3 border-buoy border-b-[3px] ${boat ? '' : 'border-t-[3px] bg-sheet px-3'}`}>
        <input
          id={id}
          ref={box}
          className="num w-full min-w-0 bg-transparent py-1.5 font-bold text-4xl outline-none"
          inputMode={boat ? 'none' : 'text'}
          autoComplete="off"
          enterKeyHint="done"
          value={written}
          placeholder={boat ? '' : UNITS[unit].example}
          aria-describedby={`${id}-means`}
          aria-invalid={wrong}
          onChange={(event) => type(event.target.value)}
        />
        <span className="num shrink-0 text-dim text-xl">{UNITS[unit].short}</span>
      </div>
      <p id={`${id}-means`} className="num mt-1.5 min-h-6 text-slate" aria-live="polite">
        {means.error ?? (written && understood?.text ? `= ${understood.text}` : '')}
      </p>
      {boat ? (
        <Keypad unit={unit} written={written} onChange={type} />
      ) : (
        <div className="mt-2 flex items-center gap-3">
          <button type="submit" className="act act-next">
            Write it down
          </button>
          <span className="text-dim text-sm">
            or Enter. {unit === 'ft-in' ? 'Type 12 9 for 12 ft 9 in.' : `In ${UNITS[unit].name}.`}
          </span>
        </div>
      )}
      {shown && !above && <FindingNote finding={shown} />}
    </form>
  );
}

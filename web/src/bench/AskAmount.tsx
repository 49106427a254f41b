import { useEffect, useId, useRef, useState } from 'react';
import { useDensity } from '../ui/appearance';
import { focusNext } from '../ui/focusNext';
import { Keypad } from '../ui/Keypad';

/** Asks for one amount: by keyboard at the desk, by large keys for wet fingers. */
export function AskAmount({
  question,
  unit,
  hint,
  submit = 'Write it down',
  onGiven,
  onCancel,
}: {
  question: string;
  unit: string;
  hint?: string;
  submit?: string;
  onGiven: (written: string) => void;
  onCancel: () => void;
}) {
  const id = useId();
  const boat = useDensity() === 'boat';
  const box = useRef<HTMLInputElement>(null);
  const [written, setWritten] = useState('');
  const [asked, setAsked] = useState(false);
  const readable = /^\s*\d+([.,]\d+)?\s*$/.test(written);
  useEffect(() => {
    if (!boat) {
      focusNext(box.current);
    }
  }, [boat]);
  return (
    <form
      className="mt-4 max-w-md panel"
      onSubmit={(event) => {
        event.preventDefault();
        setAsked(true);
        if (readable) {
          onGiven(written.trim());
        }
      }}
    >
      <label htmlFor={id} className="font-bold text-lg">
        {question}
      </label>
      {hint && <p className="text-dim">{hint}</p>}
      <div className="mt-1 flex items-baseline gap-2 border-ink border-b-2">
        <input
          ref={box}
          id={id}
          className="num w-full bg-transparent py-1 font-bold text-4xl outline-none"
          value={written}
          inputMode={boat ? 'none' : 'decimal'}
          autoComplete="off"
          maxLength={8}
          onChange={(event) => setWritten(event.target.value)}
        />
        <span className="whitespace-nowrap text-dim text-xl">{unit}</span>
      </div>
      {asked && !readable && (
        <p className="mt-2 border-madder border-l-4 pl-2" role="alert">
          That is not an amount. Type digits, with a point for the fraction.
        </p>
      )}
      {boat ? (
        <Keypad unit="m" written={written} onChange={setWritten} submit={submit} />
      ) : (
        <button type="submit" className="act act-next mt-3">
          {submit}
        </button>
      )}
      <button type="button" className="act-quiet mt-1 ml-1" onClick={onCancel}>
        back
      </button>
    </form>
  );
}

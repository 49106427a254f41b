import { useState } from 'react';
import { whereWeAre } from '../field/fix';
import type { FieldBoxProps } from './FieldBox';

// Whoever fixes two marks has walked in between: a fix of before would be the other mark’s.
const FRESH_MS = 0;

/** Where this device is, by one touch. */
export function PositionBox({ field, next, onGiven }: FieldBoxProps) {
  const [asking, setAsking] = useState(false);
  const [problem, setProblem] = useState('');
  return (
    <fieldset className="mt-3 min-w-0">
      <legend className="font-bold text-sm">{field.label}</legend>
      <button
        type="button"
        className={`act mt-1 min-h-14 ${next ? 'act-next' : ''}`}
        disabled={asking}
        onClick={() => {
          setAsking(true);
          setProblem('');
          whereWeAre(FRESH_MS)
            .then(({ latitude, longitude, accuracy }) =>
              onGiven({ position: { latitudeDeg: latitude, longitudeDeg: longitude }, accuracyM: Math.round(accuracy) }),
            )
            .catch((error: Error) => setProblem(`${error.message} Wait for the sky, or leave it out with a reason.`))
            .finally(() => setAsking(false));
        }}
      >
        {asking ? 'Asking where we are…' : 'Here'}
      </button>
      {problem && (
        <p className="mt-1 border-madder border-l-4 pl-2" role="alert">
          {problem}
        </p>
      )}
    </fieldset>
  );
}

import { useId, useState } from 'react';

/** Asks for a reason: one touch on a common one, or a few words. */
export function Reason({
  title,
  suggestions,
  confirm,
  onGiven,
  onCancel,
}: {
  title: string;
  suggestions: string[];
  confirm: string;
  onGiven: (why: string) => void;
  onCancel: () => void;
}) {
  const id = useId();
  const [why, setWhy] = useState('');
  return (
    <form
      className="mt-3 border border-rule bg-paper p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (why.trim()) {
          onGiven(why.trim());
        }
      }}
    >
      <label htmlFor={id} className="font-bold">
        {title}
      </label>
      <div className="my-2 flex flex-wrap gap-2">
        {suggestions.map((suggestion) => (
          <button
            key={suggestion}
            type="button"
            className="act font-normal"
            aria-pressed={why === suggestion}
            onClick={() => setWhy(suggestion)}
          >
            {suggestion}
          </button>
        ))}
      </div>
      <input
        id={id}
        className="field"
        value={why}
        maxLength={300}
        autoComplete="off"
        placeholder="or in your own words"
        onChange={(event) => setWhy(event.target.value)}
      />
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="submit" className="act act-next" disabled={!why.trim()}>
          {confirm}
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Leave as it is
        </button>
      </div>
    </form>
  );
}

import { useState } from 'react';
import type { Schemas } from '../api/client';
import { FieldBox, type FieldBoxProps } from './FieldBox';
import type { FieldDescription, ObservedValue } from './protocols';

/** What was met in one throw, kind by kind: a touch names it, the first box opens it. */
export function KindPicker({
  repeat,
  field,
  taken,
  address,
  onGiven,
  ...box
}: {
  repeat: Schemas['RepeatDescription'];
  /** The first box of a kind. */
  field: FieldDescription;
  /** Kinds that are there already. */
  taken: readonly string[];
  address: (kind: string) => string;
  onGiven: (kind: string, value: ObservedValue) => Promise<unknown>;
} & Pick<FieldBoxProps, 'gear' | 'people' | 'visit'>) {
  const [chosen, setChosen] = useState<string>();
  const kind = (repeat.kinds ?? []).find(({ code }) => code === chosen);
  return (
    <div className="border-rule border-t py-3">
      <p className="font-bold text-sm">Another {repeat.label}</p>
      <div className="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-3">
        {(repeat.kinds ?? [])
          .filter(({ code }) => !taken.includes(code))
          .map(({ code, words }) => (
            <button
              key={code}
              type="button"
              aria-pressed={code === chosen}
              className={`act min-h-14 text-left ${code === chosen ? 'border-2 bg-paper2' : ''}`}
              onClick={() => setChosen(code === chosen ? undefined : code)}
            >
              {words}
            </button>
          ))}
      </div>
      {kind && chosen && (
        <FieldBox
          {...box}
          field={{ ...field, label: `${kind.words}: ${field.label.toLowerCase()}` }}
          address={address(chosen)}
          next={false}
          onGiven={(value) => onGiven(chosen, value).then(() => setChosen(undefined))}
        />
      )}
    </div>
  );
}

import { useState } from 'react';
import { Keypad } from '../ui/Keypad';
import { BOXES, type Box, type Level, type LevelToRead, type Profile, type Typed, unitOf } from './columns';

interface Props {
  profile: Profile;
  target: LevelToRead | null | undefined;
  again: Level | undefined;
  draft: Typed;
  setDraft: (draft: Typed) => void;
  onWrite: (why?: string) => Promise<boolean>;
  onCancel?: (() => void) | undefined;
}

/** One level on the boat: one box at a time, large keys, the depth in sight. */
export function LevelKeys({ profile, target, again, draft, setDraft, onWrite, onCancel }: Props) {
  const boxes = profile.columns as Box[];
  const [box, setBox] = useState<Box>('temperature');
  const current = boxes.includes(box) ? box : 'temperature';
  const last = boxes.indexOf(current) === boxes.length - 1;
  const depth = again?.depthText ?? target?.text;

  async function give() {
    if (!last) {
      setBox(boxes[boxes.indexOf(current) + 1] ?? 'temperature');
    } else if (await onWrite()) {
      setBox('temperature');
    }
  }

  return (
    <form
      noValidate
      aria-label={`Level ${depth}`}
      onSubmit={(event) => {
        event.preventDefault();
        void give();
      }}
    >
      <h2 className="mt-1 flex h-12 items-center gap-2 leading-tight">
        <span className="shrink-0 text-dim">{again ? 'Again at' : target?.up ? 'Back up at' : 'At'}</span>
        <span className="num whitespace-nowrap font-bold text-4xl">{depth}</span>
        {onCancel && (
          <button type="button" className="act-quiet ml-auto text-sm" onClick={onCancel}>
            {again ? 'Leave it' : 'Not now'}
          </button>
        )}
      </h2>
      <div className="mt-2 grid grid-cols-2 gap-2">
        {boxes.map((name) => (
          <label
            key={name}
            className={`block border-b-[3px] ${name === current ? 'border-buoy' : 'border-rule'}`}
            onPointerDown={() => setBox(name)}
          >
            <span className="flex justify-between text-dim text-sm">
              <span>{BOXES[name].label}</span>
              <span className="num">{unitOf(profile, name)}</span>
            </span>
            <input
              className="num w-full min-w-0 bg-transparent py-0.5 font-bold text-4xl outline-none"
              inputMode="none"
              autoComplete="off"
              maxLength={12}
              value={draft[name] ?? ''}
              onFocus={() => setBox(name)}
              onChange={(event) => setDraft({ ...draft, [name]: event.target.value })}
            />
          </label>
        ))}
      </div>
      <Keypad
        unit="m"
        written={draft[current] ?? ''}
        onChange={(written) => setDraft({ ...draft, [current]: written })}
        submit={
          last ? `Write ${depth} down` : `Next: ${BOXES[boxes[boxes.indexOf(current) + 1] ?? 'oxygen'].label.toLowerCase()}`
        }
      />
    </form>
  );
}

import { useEffect, useRef, useState } from 'react';
import { localTime, nowLocal, nowMs } from '../field/clock';
import { numberOf } from '../ui/number';
import type { FieldBoxProps } from './FieldBox';
import { useHeld } from './held';

/** A time that is waited: begun by a touch, its end said by sound, shake and word; both moments are kept. */
export function TimerBox({ field, address, next, onGiven }: FieldBoxProps) {
  const [begun, setBegun] = useHeld(address);
  const [now, setNow] = useState(nowMs());
  const said = useRef(false);
  const wanted = field.wanted ?? 0;
  const seconds = begun === undefined ? 0 : Math.max(0, Math.floor((now - Date.parse(begun)) / 1000));
  const over = begun !== undefined && seconds >= wanted;
  useEffect(() => {
    if (begun === undefined) {
      return;
    }
    said.current = false;
    const tick = setInterval(() => setNow(nowMs()), 250);
    return () => clearInterval(tick);
  }, [begun]);
  useEffect(() => {
    if (over && !said.current) {
      said.current = true;
      navigator.vibrate?.([200, 100, 200]);
      sound();
    }
  }, [over]);
  return (
    <fieldset className="mt-3 min-w-0">
      <legend className="font-bold text-sm">{field.label}</legend>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        {begun === undefined ? (
          <>
            <button
              type="button"
              className={`act min-h-14 min-w-28 text-xl ${next ? 'act-next' : ''}`}
              onClick={() => {
                setNow(nowMs());
                const from = nowLocal();
                setBegun(() => from);
              }}
            >
              Start
            </button>
            <TypedSeconds label={field.label} onGiven={onGiven} />
          </>
        ) : (
          <>
            <p className={`num font-bold text-6xl ${over ? 'text-buoy' : ''}`}>{seconds} s</p>
            <p className="text-dim">{over ? `${wanted} s are over.` : `of ${wanted} s`}</p>
            <button
              type="button"
              className={`act min-h-14 ${next && over ? 'act-next' : ''}`}
              onClick={() => void onGiven({ at: begun, until: nowLocal() }).then(() => setBegun(() => undefined))}
            >
              {over ? 'Write it down' : 'Stop here'}
            </button>
          </>
        )}
      </div>
    </fieldset>
  );
}

/** A time that was taken on paper or by another watch: its seconds. */
function TypedSeconds({ label, onGiven }: { label: string; onGiven: FieldBoxProps['onGiven'] }) {
  const [open, setOpen] = useState(false);
  const [written, setWritten] = useState('');
  if (!open) {
    return (
      <button type="button" className="act-quiet min-h-14" onClick={() => setOpen(true)}>
        type the seconds
      </button>
    );
  }
  const seconds = numberOf(written);
  const good = seconds !== undefined && seconds >= 0;
  return (
    <form
      className="flex items-center gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (good) {
          void onGiven({ at: localTime(nowMs() - Math.round(seconds * 1000)), until: nowLocal() });
        }
      }}
    >
      <input
        className="field num !w-24"
        aria-label={`${label}, seconds`}
        inputMode="decimal"
        value={written}
        onChange={(event) => setWritten(event.target.value)}
      />
      <span>s</span>
      <button type="submit" className="act min-h-14" disabled={!good}>
        Write it down
      </button>
    </form>
  );
}

function sound(): void {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    tone.frequency.value = 880;
    tone.connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + 0.6);
    tone.onended = () => void audio.close();
  } catch {
    // A device without sound still shakes and says it.
  }
}

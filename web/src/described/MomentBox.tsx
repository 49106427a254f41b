import { useState } from 'react';
import { nowLocal } from '../field/clock';
import { ClockField } from '../ui/ClockField';
import { TextField } from '../ui/TextField';
import type { FieldBoxProps } from './FieldBox';

const DATE = 10;
const OFFSET = 23;

/** A moment: now by one touch, or another time of the day. */
export function TimeBox({ field, next, onGiven }: FieldBoxProps) {
  const [time, setTime] = useState('');
  return (
    <fieldset className="mt-3 min-w-0">
      <legend className="font-bold text-sm">{field.label}</legend>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className={`act min-h-14 ${next ? 'act-next' : ''}`}
          aria-label={`${field.label}: now`}
          onClick={() => void onGiven({ at: nowLocal() })}
        >
          Now
        </button>
        <span className="text-dim">or at</span>
        <ClockField label={field.label} value={time} onChange={setTime} />
        {time && (
          <button
            type="button"
            className="act min-h-14"
            onClick={() => void onGiven({ at: `${nowLocal().slice(0, DATE)}T${time}${nowLocal().slice(OFFSET)}` })}
          >
            Write {time.slice(0, 5)} down
          </button>
        )}
      </div>
    </fieldset>
  );
}

/** A day: today by one touch, or another. */
export function DayBox({ field, next, onGiven }: FieldBoxProps) {
  const [day, setDay] = useState('');
  const today = nowLocal().slice(0, DATE);
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (day) {
          void onGiven({ day });
        }
      }}
    >
      <TextField label={field.label} type="date" value={day} onChange={setDay} className="w-52" />
      {day ? (
        <button type="submit" className={`act min-h-14 ${next ? 'act-next' : ''}`}>
          Write it down
        </button>
      ) : (
        <button type="button" className="act min-h-14" onClick={() => void onGiven({ day: today })}>
          Today
        </button>
      )}
    </form>
  );
}

import { useEffect, useState } from 'react';
import { readClock } from './clockTimes';

interface Props {
  label: string;
  /** As 10:00 or 10:00:00. */
  value: string;
  onChange(time: string): void;
}

/** A time on the 24-hour clock, typed as 9, 930 or 09:30; a browser's own field would ask for a half of the day. */
export function ClockField({ label, value, onChange }: Props) {
  const [text, setText] = useState(value.slice(0, 5));
  useEffect(() => setText(value.slice(0, 5)), [value]);
  return (
    <input
      className="field num !w-24"
      aria-label={label}
      inputMode="numeric"
      maxLength={5}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        const time = readClock(text);
        setText(time ?? value.slice(0, 5));
        if (time) {
          onChange(`${time}:00`);
        }
      }}
    />
  );
}

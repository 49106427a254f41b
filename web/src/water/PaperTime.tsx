import type { Schemas } from '../api/client';
import { nowLocal } from '../field/clock';
import { compute } from '../field/core';
import { Check } from '../ui/Check';
import { Choice } from '../ui/Choice';
import { readClock } from '../ui/clockTimes';
import { TextField } from '../ui/TextField';

/** What stands on the sheet of its day and time, as typed. */
export interface PaperTimes {
  day: string;
  time: string;
  half?: NonNullable<Schemas['HalfDay']>;
  estimated: boolean;
}

const HALVES = [
  ['am', 'a.m.'],
  ['pm', 'p.m.'],
] as const;

/** Says when the readings of a sheet were made; throws where the boxes hold no day or no time at all. */
export async function whenRead({ day, time, half, estimated }: PaperTimes): Promise<Schemas['SheetTimeResult']> {
  const clock = time.trim() && readClock(time);
  if (!/^\d{4}-\d\d-\d\d$/.test(day.trim()) || clock === undefined) {
    throw new Error('The day or the time of the sheet cannot be read. Write the day as 2026-08-12 and the time as 10:20.');
  }
  return await compute('sheet-time', {
    day: day.trim(),
    now: nowLocal(),
    ...(clock && { time: `${clock}:00` }),
    ...(half && { half }),
    ...(estimated && { estimated }),
  });
}

/** The boxes for the day and the time that stand on a paper sheet. */
export function PaperTime({
  value,
  halves,
  onChange,
}: {
  value: PaperTimes;
  /** True where the programme's sheet has a box for the half of the day. */
  halves: boolean;
  onChange(value: PaperTimes): void;
}) {
  return (
    <>
      <div className="grid max-w-sm grid-cols-2 gap-x-4">
        <TextField label="Day on the sheet" value={value.day} maxLength={10} onChange={(day) => onChange({ ...value, day })} />
        <TextField
          label="Time, 24 h"
          value={value.time}
          maxLength={5}
          inputMode="numeric"
          onChange={(time) => onChange({ ...value, time })}
        />
      </div>
      {halves && (
        <Choice
          label="Ticked on the sheet"
          value={value.half}
          options={HALVES}
          onChoose={(half) => onChange({ ...value, half: half === value.half ? undefined : half })}
        />
      )}
      <Check checked={value.estimated} onCheck={() => onChange({ ...value, estimated: !value.estimated })}>
        No time on the sheet: this is my best estimate
      </Check>
    </>
  );
}

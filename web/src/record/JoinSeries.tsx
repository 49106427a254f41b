import { useState } from 'react';
import { asked } from '../api/asked';
import { api } from '../api/client';
import { plainDay } from '../ui/days';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import type { Subject, Trend } from './series';

/** Joins a series across a change of method, for a reason that is kept; or takes the join back. */
export function JoinSeries({
  code,
  subject,
  breaks,
  onChanged,
}: {
  code: string;
  subject: Subject;
  breaks: Trend['breaks'];
  onChanged(): void;
}) {
  const [why, setWhy] = useState('');
  const [open, setOpen] = useState('');
  const [problem, setProblem] = useState('');
  async function send(day: string, reason: string | null) {
    const { problem: wrong } = await asked(async () => {
      const { response, error } = await api.POST('/api/stations/{code}/joins', {
        params: { path: { code } },
        body: { subject, day, why: reason },
      });
      return response.ok ? { data: true } : { error };
    });
    setProblem(wrong);
    if (!wrong) {
      setOpen('');
      onChanged();
    }
  }
  return (
    <div className="print:hidden">
      {breaks.map(({ day, joined }) => (
        <div key={day} className="mt-1">
          {joined ? (
            <button type="button" className="act-quiet" onClick={() => void send(day, null)}>
              split again at {plainDay(day)}
            </button>
          ) : open === day ? (
            <form
              onSubmit={(event) => {
                event.preventDefault();
                void send(day, why);
              }}
            >
              <TextField
                label="Why may they be taken as one?"
                value={why}
                onChange={setWhy}
                maxLength={200}
                hint="It is printed with the trend."
              />
              <button type="submit" className="act mt-2" disabled={!why.trim()}>
                Join them
              </button>
            </form>
          ) : (
            <button type="button" className="act-quiet" onClick={() => setOpen(day)}>
              join across {plainDay(day)}…
            </button>
          )}
        </div>
      ))}
      <Problem words={problem} />
    </div>
  );
}

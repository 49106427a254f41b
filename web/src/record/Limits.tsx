import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { Choice } from '../ui/Choice';
import { notNumber, numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import type { Subject, Trend } from './series';

type Limit = Schemas['Benchmark'];

/** Somebody else's numbers, each with its source, and how the last year stands to them. */
export function Limits({
  water,
  subject,
  trend,
  limits,
  mayChange,
  onChanged,
}: {
  water: string;
  subject: Subject;
  trend: Trend;
  limits: readonly Limit[];
  mayChange: boolean;
  onChanged(): void;
}) {
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState('');
  if (limits.length === 0 && !mayChange) {
    return null;
  }
  async function remove(id: string) {
    const { problem: wrong } = await asked(async () => {
      const { response, error } = await api.DELETE('/api/waters/{code}/limits/{id}', { params: { path: { code: water, id } } });
      return response.ok ? { data: true } : { error };
    });
    setProblem(wrong);
    onChanged();
  }
  return (
    <>
      <h2 className="caps mt-5">Held against</h2>
      {limits.map((limit, i) => (
        <p key={limit.id} className="mt-1">
          <b>{limit.name}.</b> {trend.limits?.[i]} <span className="text-dim text-sm">{limit.source}</span>
          {mayChange && (
            <button type="button" className="act-quiet print:hidden" onClick={() => void remove(limit.id)}>
              take it away
            </button>
          )}
        </p>
      ))}
      {mayChange &&
        (open ? (
          <AddLimit
            water={water}
            subject={subject}
            unit={trend.unit}
            better={trend.better}
            onDone={() => {
              setOpen(false);
              onChanged();
            }}
          />
        ) : (
          <button type="button" className="act-quiet print:hidden" onClick={() => setOpen(true)}>
            hold it against a limit…
          </button>
        ))}
      <Problem words={problem} />
    </>
  );
}

function AddLimit({
  water,
  subject,
  unit,
  better,
  onDone,
}: {
  water: string;
  subject: Subject;
  unit: string;
  better: Trend['better'];
  onDone(): void;
}) {
  const [name, setName] = useState('');
  const [source, setSource] = useState('');
  const [value, setValue] = useState('');
  const [above, setAbove] = useState(better === 'higher');
  const [problem, setProblem] = useState('');
  const number = numberOf(value);
  return (
    <form
      className="mt-2 border border-rule bg-sheet p-3 print:hidden"
      onSubmit={async (event) => {
        event.preventDefault();
        if (number === undefined) {
          return;
        }
        const { problem: wrong } = await asked(() =>
          api.POST('/api/waters/{code}/limits', {
            params: { path: { code: water } },
            body: { subject, above, value: number, name, source },
          }),
        );
        setProblem(wrong);
        if (!wrong) {
          onDone();
        }
      }}
    >
      <TextField label="What it is called" value={name} onChange={setName} maxLength={80} />
      <Choice
        label="A good value lies"
        value={above}
        options={[
          [true, 'above'],
          [false, 'below'],
        ]}
        onChoose={setAbove}
      />
      <TextField label={`The number, ${unit}`} value={value} inputMode="decimal" onChange={setValue} {...notNumber(value)} />
      <TextField
        label="Where it stands"
        value={source}
        onChange={setSource}
        maxLength={200}
        hint="Plan, law or paper, so that anybody can check it."
      />
      <button type="submit" className="act mt-3" disabled={!name.trim() || !source.trim() || number === undefined}>
        Add it
      </button>
      <Problem words={problem} />
    </form>
  );
}

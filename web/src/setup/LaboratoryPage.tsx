import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { Check } from '../ui/Check';
import { ClockField } from '../ui/ClockField';
import { shortDay } from '../ui/days';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { LaboratoryNeeds } from './LaboratoryNeeds';

type Laboratory = Schemas['Laboratory'];
type Weekday = Laboratory['openings'][number]['day'];

const WEEKDAYS: Weekday[] = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const NEW_LAB: Laboratory = {
  name: '',
  openings: WEEKDAYS.slice(0, 5).map((day) => ({ day, from: '08:00:00', until: '16:00:00' })),
  closedDays: [],
  travelMinutes: 60,
  turnIns: [],
  noDryIce: false,
};

/** When the lab takes samples in, and the days of the season that bind everybody. */
export function LaboratoryPage() {
  const pulled = usePulled(async () => {
    const answer = await api.GET('/api/laboratory');
    return {
      data: { laboratory: answer.data ?? NEW_LAB, version: Number(answer.response.headers.get('ETag')?.replace(/\D/g, '') ?? 0) },
      error: answer.error,
    };
  });
  const season = usePulled(() => api.GET('/api/season'));
  return (
    <>
      <h1 className="text-2xl sm:text-3xl">Laboratory and days</h1>
      <Problem words={pulled.problem} />
      {pulled.data && (
        <LaboratoryForm given={pulled.data.laboratory} version={pulled.data.version} onKept={() => void season.again()} />
      )}
      <h2 className="mt-8 border-ink border-b-[1.5px] text-xl">Days that bind every station</h2>
      <SetDays season={season.data} onChanged={() => void season.again()} />
    </>
  );
}

function LaboratoryForm({ given, version, onKept }: { given: Laboratory; version: number; onKept(): void }) {
  const [seen, setSeen] = useState(version);
  const [lab, setLab] = useState(given);
  const [travel, setTravel] = useState(String(given.travelMinutes ?? 60));
  const [closed, setClosed] = useState(given.closedDays.join(' '));
  const [turnIns, setTurnIns] = useState((given.turnIns ?? []).join(' '));
  const [said, setSaid] = useState('');
  const days = (text: string) => text.split(/[\s,;]+/).filter(Boolean);
  const opening = (day: Weekday) => lab.openings.find((o) => o.day === day);
  const setOpening = (day: Weekday, part: { from?: string; until?: string } | undefined) => {
    const rest = lab.openings.filter((o) => o.day !== day);
    const { from, until } = opening(day) ?? { from: '08:00:00', until: '16:00:00' };
    const next = part ? [...rest, { day, from, until, ...part }] : rest;
    setLab({ ...lab, openings: next.sort((a, b) => WEEKDAYS.indexOf(a.day) - WEEKDAYS.indexOf(b.day)) });
  };

  async function keep() {
    const minutes = numberOf(travel);
    const wrong = [...days(closed), ...days(turnIns)].find(
      (day) => !/^\d{4}-\d\d-\d\d$/.test(day) || Number.isNaN(Date.parse(day)),
    );
    if (minutes === undefined || wrong !== undefined) {
      setSaid(wrong ? `“${wrong}” is not a day: write 2026-08-31.` : 'The way to the lab is a number of minutes.');
      return;
    }
    const { data, problem } = await asked(() =>
      api.PUT('/api/laboratory', {
        params: { query: { version: seen } },
        body: { ...lab, travelMinutes: Math.round(minutes), closedDays: days(closed), turnIns: days(turnIns) },
      }),
    );
    if (data) {
      setSeen(seen + 1);
    }
    setSaid(
      data
        ? `Kept. ${data.changes.length === 0 ? 'No date changes.' : data.changes.map((c) => `${c.station}: ${c.words.join('; ')}`).join('. ')}`
        : problem,
    );
    onKept();
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className="grid gap-x-6 sm:grid-cols-2">
        <TextField label="Laboratory" value={lab.name} maxLength={80} onChange={(name) => setLab({ ...lab, name })} />
        <TextField label="From the water to its door, minutes" value={travel} inputMode="numeric" onChange={setTravel} />
      </div>
      <fieldset className="mt-3">
        <legend className="font-bold text-sm">Takes samples in</legend>
        {WEEKDAYS.map((day) => {
          const open = opening(day);
          return (
            <div key={day} className="flex min-h-11 flex-wrap items-center gap-x-4 border-rule border-b">
              <Check className="w-36" checked={open !== undefined} onCheck={(on) => setOpening(day, on ? {} : undefined)}>
                {day}
              </Check>
              {open ? (
                <span className="flex items-center gap-2">
                  <ClockField label={`${day}, opens`} value={open.from} onChange={(from) => setOpening(day, { from })} />
                  to
                  <ClockField label={`${day}, closes`} value={open.until} onChange={(until) => setOpening(day, { until })} />
                </span>
              ) : (
                <span className="text-dim">closed</span>
              )}
            </div>
          );
        })}
      </fieldset>
      <div className="grid gap-x-6 sm:grid-cols-2">
        <TextField
          label="Closed all the same on"
          value={closed}
          onChange={setClosed}
          hint="Days as 2026-08-31, with blanks between."
        />
        <TextField
          label="Turn-in dates for frozen samples"
          value={turnIns}
          onChange={setTurnIns}
          hint="Before noon on the date."
        />
        <TextField
          label="Turn-in place"
          value={lab.turnInPlace ?? ''}
          maxLength={120}
          onChange={(turnInPlace) => setLab({ ...lab, turnInPlace })}
        />
      </div>
      <LaboratoryNeeds lab={lab} onChange={setLab} />
      {said && (
        <p className="mt-3 border border-rule bg-sheet p-3" role="status">
          {said}
        </p>
      )}
      <button type="submit" className="act act-next mt-4" disabled={!lab.name.trim()}>
        Keep the hours
      </button>
    </form>
  );
}

const KINDS: Record<string, string> = { Shared: 'shared observation day', Blocked: 'nobody can go', IceOut: 'the ice went' };

function SetDays({ season, onChanged }: { season: Schemas['SeasonView'] | undefined; onChanged(): void }) {
  const [day, setDay] = useState('');
  const [kind, setKind] = useState<Schemas['SeasonDayKind']>('Shared');
  const [why, setWhy] = useState('');
  const [said, setSaid] = useState('');
  return (
    <>
      <ul>
        {season?.set
          .filter((set) => !set.station)
          .map((set) => (
            <li key={set.id} className="flex min-h-11 items-center gap-4 border-rule border-b">
              <b className="w-28">{shortDay(set.day)}</b>
              <span className="flex-1">
                {KINDS[set.kind]}: {set.why} <span className="text-dim text-sm">({set.by})</span>
              </span>
              <button
                type="button"
                className="act-quiet"
                onClick={async () => {
                  setSaid((await asked(() => api.DELETE('/api/season/days/{id}', { params: { path: { id: set.id } } }))).problem);
                  onChanged();
                }}
              >
                Free it<span className="sr-only"> {shortDay(set.day)}</span>
              </button>
            </li>
          ))}
      </ul>
      <form
        className="mt-3 flex flex-wrap items-end gap-3"
        onSubmit={async (event) => {
          event.preventDefault();
          const { data, problem } = await asked(() => api.POST('/api/season/days', { body: { day, kind, why } }));
          setSaid(problem);
          if (data) {
            setDay('');
            setWhy('');
            onChanged();
          }
        }}
      >
        <TextField label="Day" type="date" value={day} onChange={setDay} />
        <label className="text-sm">
          <span className="block font-bold">What for</span>
          <select
            className="field w-auto"
            value={kind}
            onChange={(event) => setKind(event.target.value as Schemas['SeasonDayKind'])}
          >
            {Object.entries(KINDS).map(([key, name]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <TextField label="Why" value={why} onChange={setWhy} maxLength={120} className="min-w-60 flex-1" />
        <button type="submit" className="act" disabled={!day || !why.trim()}>
          Set it aside
        </button>
      </form>
      <Problem words={said} />
    </>
  );
}

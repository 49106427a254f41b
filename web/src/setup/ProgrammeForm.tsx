import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { Composer, DRAFT } from '../compose/Composer';
import type { Composed } from '../compose/composed';
import { OwnProtocols } from '../compose/OwnProtocols';
import { refreshNow } from '../field/delivery';
import { store } from '../field/store';
import { ClockField } from '../ui/ClockField';
import { monthName } from '../ui/days';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { SelectBox } from '../ui/SelectBox';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { DepthField } from './DepthField';
import { Beside, type FieldFinding, Summary } from './findings';
import { limitDraftOf, MethodRows, withLimits } from './MethodRows';
import { NEW_ROW, SeasonRows } from './SeasonRows';
import { TrainedFor } from './TrainedFor';

type Programme = Schemas['Programme'];
interface Props {
  given: Programme;
  isNew: boolean;
  onKept(): void;
  onCancel(): void;
}

const MONTHS = Object.fromEntries(Array.from({ length: 12 }, (_, i) => [String(i + 1), monthName(i + 1)]));

/** The methods of a programme. What a change would break is shown before it is kept; a version once kept stays as it is. */
export function ProgrammeForm({ given, isNew, onKept, onCancel }: Props) {
  const [programme, setProgramme] = useState(given);
  // The version that was on the screen when the form was opened.
  const [seen] = useState(given.version);
  const [factor, setFactor] = useState(String(given.composite.factor));
  const [least, setLeast] = useState(String(given.summary.leastReadings));
  const list = usePulled(() => api.GET('/api/programmes/schools'));
  const [limits, setLimits] = useState(() => limitDraftOf(given));
  const [shown, setShown] = useState<Schemas['ProgrammeAnswer']>();
  const [findings, setFindings] = useState<FieldFinding[]>([]);
  const [problem, setProblem] = useState('');
  const [composing, setComposing] = useState<Composed>();
  const change = (part: Partial<Programme>) => {
    setProgramme({ ...programme, ...part });
    setShown(undefined);
  };
  const typed = (set: (text: string) => void) => (text: string) => {
    set(text);
    setShown(undefined);
  };
  const clarity = (part: Partial<Programme['clarity']>) => change({ clarity: { ...programme.clarity, ...part } });
  const composite = (part: Partial<Programme['composite']>) => change({ composite: { ...programme.composite, ...part } });

  async function ask(keep: boolean) {
    const times = numberOf(factor);
    const fewest = numberOf(least);
    if (times === undefined || fewest === undefined) {
      setProblem('The factor of the clarity and the least count are numbers.');
      return;
    }
    const read = withLimits(programme, limits, numberOf);
    if (typeof read === 'string') {
      setProblem(`“${read}” is not a number.`);
      return;
    }
    const whole: Programme = {
      ...read,
      composite: { ...programme.composite, factor: times },
      summary: { ...programme.summary, leastReadings: Math.round(fewest) },
    };
    const { data, problem: refused } = await asked(() =>
      isNew
        ? api.POST('/api/programmes', { body: whole })
        : api.PUT('/api/programmes/{code}', {
            params: { path: { code: given.code }, query: { version: seen } },
            body: { programme: whole, keep },
          }),
    );
    setProblem(refused);
    setFindings(data?.findings ?? []);
    setShown(data);
    if (data?.kept) {
      // Its stations are folded by the new version from now on.
      refreshNow();
      onKept();
    } else if (data && !keep && data.breaks.length === 0 && data.findings.every((f) => f.finding.level !== 'stop')) {
      await ask(true);
    }
  }

  // One that is new is planned, too; its rhythm stands below for whoever wants another.
  function take(protocol: Composed) {
    const own = programme.own ?? [];
    const season = programme.season ?? [];
    change({
      own: own.some(({ code }) => code === protocol.code)
        ? own.map((one) => (one.code === protocol.code ? protocol : one))
        : [...own, protocol],
      season: season.some((plan) => plan.protocol === protocol.code)
        ? season
        : [...season, { ...NEW_ROW, protocol: protocol.code, rhythm: 'monthly' }],
    });
    setComposing(undefined);
    void store.settings.delete(DRAFT);
  }

  if (composing) {
    return (
      <Composer
        given={composing}
        programme={programme}
        samples={list.data?.samples ?? []}
        onTake={take}
        onCancel={() => setComposing(undefined)}
      />
    );
  }
  const breaks = shown && shown.breaks.length > 0 ? shown : undefined;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void ask(breaks !== undefined);
      }}
    >
      <h1 className="text-2xl sm:text-3xl">{given.name || 'A programme'}</h1>
      <div className="grid gap-x-6 sm:grid-cols-2">
        <div>
          <TextField label="Name" value={programme.name} maxLength={80} onChange={(name) => change({ name })} />
          <Beside field="name" findings={findings} />
          <Beside field="code" findings={findings} />
        </div>
        <div>
          <p className="mt-3 font-bold text-sm">Hours</p>
          <div className="flex items-center gap-2">
            <ClockField
              label="Hours, from"
              value={programme.hours.from}
              onChange={(from) => change({ hours: { ...programme.hours, from } })}
            />
            to
            <ClockField
              label="Hours, until"
              value={programme.hours.until}
              onChange={(until) => change({ hours: { ...programme.hours, until } })}
            />
          </div>
          <p className="text-dim text-sm">Local time. High sun makes readings comparable.</p>
          <Beside field="hours" findings={findings} />
        </div>
      </div>

      <h2 className="mt-6 border-ink border-b-[1.5px] text-xl">Clarity</h2>
      <div className="grid gap-x-6 sm:grid-cols-2">
        <SelectBox
          box="programme.clarity.endPoint"
          value={programme.clarity.endPoint}
          onChange={(endPoint) => clarity({ endPoint })}
        />
        <SelectBox
          box="programme.clarity.roundTo"
          value={programme.clarity.roundTo}
          onChange={(roundTo) => clarity({ roundTo })}
        />
        <div>
          <SelectField
            label="Lowerings"
            value={String(programme.clarity.readings) as '1' | '2' | '3'}
            options={{ '1': 'one: anchor time is short', '2': 'two, averaged', '3': 'three, averaged' }}
            onChange={(readings) => clarity({ readings: Number(readings) })}
          />
          <Beside field="readings" findings={findings} />
        </div>
        <SelectBox
          box="programme.clarity.observers"
          value={programme.clarity.observers}
          onChange={(observers) => clarity({ observers })}
        />
      </div>

      <h2 className="mt-6 border-ink border-b-[1.5px] text-xl">Composite</h2>
      <div className="grid gap-x-6 sm:grid-cols-2">
        <SelectBox
          box="programme.composite.depthRule"
          value={programme.composite.depthRule}
          onChange={(depthRule) => composite({ depthRule })}
        />
        {programme.composite.depthRule === 'factor' ? (
          <div>
            <TextField
              label="Times the clarity"
              value={factor}
              inputMode="decimal"
              onChange={typed(setFactor)}
              hint="2 is the simplest estimate of the lit layer."
            />
            <Beside field="factor" findings={findings} />
          </div>
        ) : (
          <DepthField
            label="The coordinator’s depth"
            value={programme.composite.preset ?? { written: '', unit: 'm' }}
            onChange={(preset) => composite({ preset })}
            findings={findings}
            field="preset"
          />
        )}
        <DepthField
          label="Keep off the bottom by"
          value={programme.composite.clearance}
          onChange={(clearance) => composite({ clearance })}
          findings={findings}
          field="clearance"
        />
        <SelectBox
          box="programme.composite.method"
          value={programme.composite.method}
          onChange={(method) => composite({ method })}
        />
      </div>

      <h2 className="mt-6 border-ink border-b-[1.5px] text-xl">The season</h2>
      <p className="mt-1 text-dim text-sm">
        What is due when. Windows, gaps and the lab’s hours are never broken by a proposed date.
      </p>
      <SeasonRows
        rows={programme.season ?? []}
        own={programme.own ?? []}
        samples={list.data?.samples ?? []}
        onChange={(season) => change({ season })}
      />
      <Beside field="season" findings={findings} />
      <TrainedFor programme={programme} onChange={(trained) => change({ trained })} />
      <div className="grid gap-x-6 sm:grid-cols-3">
        <SelectField
          label="The mean counts from"
          value={String(programme.summary.fromMonth)}
          options={MONTHS}
          onChange={(month) => change({ summary: { ...programme.summary, fromMonth: Number(month) } })}
        />
        <SelectField
          label="until"
          value={String(programme.summary.untilMonth)}
          options={MONTHS}
          onChange={(month) => change({ summary: { ...programme.summary, untilMonth: Number(month) } })}
        />
        <TextField
          label="Fewest clarities for a season’s mean"
          value={least}
          inputMode="numeric"
          onChange={typed(setLeast)}
          hint="Fewer give no mean; the single values stand."
        />
      </div>
      <Beside field="summary" findings={findings} />

      <h2 className="mt-6 border-ink border-b-[1.5px] text-xl">Protocols of your own</h2>
      <p className="mt-1 text-dim text-sm">
        What no other protocol covers, composed of the same parts. Keeping the programme publishes them.
      </p>
      <OwnProtocols
        programme={programme}
        findings={findings}
        onCompose={setComposing}
        onRemove={(code) =>
          change({
            own: (programme.own ?? []).filter((one) => one.code !== code),
            season: (programme.season ?? []).filter((plan) => plan.protocol !== code),
          })
        }
      />

      <h2 className="mt-6 border-ink border-b-[1.5px] text-xl">Every other method and limit</h2>
      <p className="mt-1 text-dim text-sm">The usual way stands first. Open what your group does otherwise.</p>
      <Problem words={list.problem} />
      <MethodRows
        list={list.data}
        methods={programme.schools}
        limits={limits}
        onMethods={(methods) => change({ schools: methods })}
        onLimits={(typedLimits) => {
          setLimits(typedLimits);
          setShown(undefined);
        }}
      />
      <Beside field="schools" findings={findings} />
      <Beside field="limits" findings={findings} />

      {breaks && (
        <div className="mt-5 border border-madder bg-sheet p-4" role="alert">
          <b>This breaks {breaks.stations.length === 1 ? 'a series' : `${breaks.stations.length} series`}.</b> Readings before and
          after differ by more than the water:
          <ul className="mt-1 list-disc pl-5">
            {breaks.breaks.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <p className="mt-1">
            {breaks.stations.length > 0 ? `Stations: ${breaks.stations.join(', ')}. ` : 'No station follows it yet. '}
            Read both ways side by side for a season if you can. Visits made so far keep version {breaks.version - 1}.
          </p>
        </div>
      )}
      <Problem words={problem} />
      <Summary findings={findings} />
      <div className="mt-5 flex gap-3">
        <button type="submit" className="act act-next">
          {breaks ? `Keep it all the same, as version ${breaks.version}` : 'Keep the programme'}
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

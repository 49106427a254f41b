import { useState } from 'react';
import type { StationRecord } from '../api/client';
import { Check } from '../ui/Check';
import { Choice } from '../ui/Choice';
import { TextField } from '../ui/TextField';
import { BeatBox } from './BeatBox';
import { CodeBox } from './CodeBox';
import { CounterBox } from './CounterBox';
import { EquipmentBox } from './EquipmentBox';
import { DayBox, TimeBox } from './MomentBox';
import { NumbersBox } from './NumbersBox';
import { PhotoBox } from './PhotoBox';
import { PositionBox } from './PositionBox';
import type { FieldDescription, ObservedValue } from './protocols';
import { RoleBox } from './RoleBox';
import { TallyBox } from './TallyBox';
import { TimerBox } from './TimerBox';

export interface FieldBoxProps {
  field: FieldDescription;
  /** Where it stands: what is held until it is written is kept under it. */
  address: string;
  /** True where it is the next thing to do: its button leads. */
  next: boolean;
  /** Resolves once it is written: until then nothing that is held is let go. */
  onGiven: (value: ObservedValue) => Promise<unknown>;
  /** What of the kit is used at this station. */
  gear?: StationRecord['context']['gear'];
  /** Who is here. */
  people?: readonly string[];
  visit?: string;
}

/** An empty box of a described protocol, by what it holds. What a number means, Core says once it is written. */
export function FieldBox(props: FieldBoxProps) {
  const { field, onGiven } = props;
  switch (field.kind) {
    case 'yes-no':
      return (
        <Choice
          label={field.label}
          value={undefined}
          options={[
            [true, 'yes'],
            [false, 'no'],
          ]}
          onChoose={(yes) => void onGiven({ yes })}
        />
      );
    case 'one-of':
      return (
        <Choice
          label={field.label}
          value={undefined}
          options={(field.choices ?? []).map(({ code, words }) => [code, words] as const)}
          onChoose={(choice) => void onGiven({ choice })}
        />
      );
    case 'some-of':
      return <SomeBox {...props} give={(choices) => ({ choices })} />;
    case 'checklist':
      return <SomeBox {...props} give={(ticked) => ({ ticked })} />;
    case 'counter':
      return <CounterBox {...props} />;
    case 'timer':
      return <TimerBox {...props} />;
    case 'tally':
      return <TallyBox {...props} />;
    case 'equipment':
      return <EquipmentBox {...props} />;
    case 'position':
      return <PositionBox {...props} />;
    case 'role':
    case 'person':
      return <RoleBox {...props} />;
    case 'code':
      return <CodeBox {...props} />;
    case 'time':
      return <TimeBox {...props} />;
    case 'day':
      return <DayBox {...props} />;
    case 'numbers':
      return <NumbersBox {...props} />;
    case 'beat':
      return <BeatBox {...props} />;
    case 'photo':
      return <PhotoBox {...props} visit={props.visit ?? ''} />;
    case 'number':
    case 'whole':
    case 'length':
    case 'temperature':
    case 'words':
      return <WrittenBox {...props} />;
    default:
      return <p className="mt-3 text-dim">{field.label}: this page cannot ask for it yet. Write it on paper.</p>;
  }
}

/** Some of a list, written together. */
function SomeBox({ field, next, onGiven, give }: FieldBoxProps & { give: (codes: string[]) => ObservedValue }) {
  const [chosen, setChosen] = useState<string[]>([]);
  return (
    <fieldset className="mt-3 min-w-0">
      <legend className="font-bold text-sm">{field.label}</legend>
      <div className="mt-1 flex flex-wrap gap-x-5">
        {(field.choices ?? []).map(({ code, words }) => (
          <Check
            key={code}
            checked={chosen.includes(code)}
            onCheck={(on) => setChosen(on ? [...chosen, code] : chosen.filter((c) => c !== code))}
          >
            {words}
          </Check>
        ))}
      </div>
      <button type="button" className={`act mt-1 ${next ? 'act-next' : ''}`} onClick={() => void onGiven(give(chosen))}>
        Write it down
      </button>
    </fieldset>
  );
}

/** A number with its unit, or words. */
function WrittenBox({ field, next, onGiven }: FieldBoxProps) {
  const [written, setWritten] = useState('');
  const [unit, setUnit] = useState(field.units?.[0]?.code);
  const [problem, setProblem] = useState('');
  const words = field.kind === 'words';
  const range = field.usualLeast != null && field.usualMost != null ? `Usual: ${field.usualLeast}–${field.usualMost}` : undefined;
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-x-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (written.trim() === '') {
          setProblem('Nothing is written here. Type it as it is shown.');
          return;
        }
        void onGiven(words ? { words: written.trim() } : { written: written.trim(), ...(unit ? { unit } : {}) }).then(() =>
          setWritten(''),
        );
      }}
    >
      <TextField
        label={unit && field.units?.length === 1 ? `${field.label}, ${unit}` : field.label}
        value={written}
        hint={range}
        problem={problem}
        inputMode={words ? 'text' : 'decimal'}
        autoComplete="off"
        className={words ? 'grow' : 'w-64'}
        onChange={(value) => {
          setWritten(value);
          setProblem('');
        }}
      />
      {field.units && field.units.length > 1 && (
        <Choice label="Unit" value={unit} options={field.units.map(({ code }) => [code, code] as const)} onChoose={setUnit} />
      )}
      <button type="submit" className={`act mt-3 ${next ? 'act-next' : ''}`}>
        Write it down
      </button>
    </form>
  );
}

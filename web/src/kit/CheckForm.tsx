import { type FormEvent, useState } from 'react';
import { asked } from '../api/asked';
import { api, type LengthUnit, type Schemas } from '../api/client';
import { useBox } from '../field/boxes';
import { nowLocal } from '../field/clock';
import { Beside } from '../setup/findings';
import { Check } from '../ui/Check';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { UNITS } from '../ui/units';
import { Worked } from '../ui/Worked';
import { CHECKS, type KitItem, type KitRule } from './words';

interface Props {
  item: KitItem;
  rule: KitRule;
  kind: Schemas['KitCheckKind'];
  onKept(changes: readonly string[]): void;
  onCancel(): void;
}

interface Draft {
  day: string;
  marks: { mark: string; tape: string }[];
  /** Undefined until it is touched: then what Core says is usual. */
  expected: string | undefined;
  read: string;
  unit: string | undefined;
  counted: string;
  ticked: string[];
  remark: string;
}

/** One check: first what it gives is shown, then it is kept. */
export function CheckForm({ item, rule, kind, onKept, onCancel }: Props) {
  const unit: LengthUnit = item.marks?.unit ?? 'm';
  const [draft, setDraft] = useState<Draft>({
    day: nowLocal().slice(0, 10),
    marks: [
      { mark: '', tape: '' },
      { mark: '', tape: '' },
      { mark: '', tape: '' },
    ],
    expected: undefined,
    read: '',
    unit: undefined,
    counted: '',
    ticked: [],
    remark: '',
  });
  // How it is done, and in what it is read, Core says.
  const box = useBox(`kit-check.${kind}`);
  const units = box?.choices ?? [];
  const read = draft.unit ?? units[0]?.code ?? undefined;
  const expected = draft.expected ?? (box?.usual != null && read === units[0]?.code ? String(box.usual) : '');
  const [shown, setShown] = useState<Schemas['KitCheckAnswer']>();
  const [problem, setProblem] = useState('');
  const change = (part: Partial<Draft>) => {
    setDraft((before) => ({ ...before, ...part }));
    setShown(undefined);
  };

  async function ask(event: FormEvent) {
    event.preventDefault();
    const marks = draft.marks.filter(({ mark, tape }) => mark.trim() || tape.trim());
    const body: Schemas['KitCheckGiven'] = {
      keep: shown !== undefined,
      check: {
        id: '00000000-0000-0000-0000-000000000000',
        kind,
        day: draft.day,
        by: '',
        ...(kind === 'taped' &&
          marks.length > 0 && {
            marks: marks.map(({ mark, tape }) => ({ mark: { written: mark, unit }, tape: { written: tape, unit } })),
          }),
        ...((kind === 'calibrated' || kind === 'end-check' || kind === 'timed') && {
          expected: numberOf(expected) ?? null,
        }),
        ...(kind !== 'taped' && kind !== 'counted' && kind !== 'looked-over' && { read: numberOf(draft.read) ?? null }),
        ...(read && { unit: read }),
        ...(kind === 'counted' && { counted: Math.round(numberOf(draft.counted) ?? -1) }),
        ...(kind === 'looked-over' && { ticked: draft.ticked }),
        remark: draft.remark.trim() || null,
      },
    };
    const { data, problem: refused } = await asked(() =>
      api.POST('/api/kit/{code}/checks', { params: { path: { code: item.code } }, body }),
    );
    setProblem(refused);
    setShown(data?.result.findings.every(({ finding }) => finding.level !== 'stop') ? data : undefined);
    setFindings(data?.result.findings ?? []);
    if (data?.kept) {
      onKept(data.changes);
    }
  }
  const [findings, setFindings] = useState<Schemas['FieldFinding'][]>([]);

  return (
    <form className="mt-4 border border-ink bg-sheet p-4" onSubmit={(event) => void ask(event)}>
      <h2 className="text-xl">{CHECKS[kind]}</h2>
      <p className="text-dim text-sm">{box?.hint}</p>
      <div className="max-w-xl">
        <TextField label="Day" type="date" value={draft.day} onChange={(day) => change({ day })} className="max-w-48" />
        <Beside field="day" findings={findings} />
        {kind === 'taped' && (
          <fieldset className="mt-3">
            <legend className="font-bold text-sm">Along the tape, {UNITS[unit].name}</legend>
            <div className="mt-1 grid max-w-sm grid-cols-2 gap-x-4 text-dim text-sm" aria-hidden="true">
              <span>the line says</span>
              <span>the tape says</span>
            </div>
            {draft.marks.map((row, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: marks stand in the order in which they were taped
              <div key={i} className="mt-1.5 grid max-w-sm grid-cols-2 gap-x-4">
                <input
                  className="field num"
                  aria-label={`Mark ${i + 1}, the line says`}
                  placeholder={i === 0 ? UNITS[unit].example : ''}
                  inputMode="text"
                  value={row.mark}
                  onChange={(event) => change({ marks: draft.marks.with(i, { ...row, mark: event.target.value }) })}
                />
                <input
                  className="field num"
                  aria-label={`Mark ${i + 1}, the tape says`}
                  inputMode="text"
                  value={row.tape}
                  onChange={(event) => change({ marks: draft.marks.with(i, { ...row, tape: event.target.value }) })}
                />
              </div>
            ))}
            <Beside field="marks" findings={findings} />
            <button
              type="button"
              className="act-quiet mt-1"
              onClick={() => change({ marks: [...draft.marks, { mark: '', tape: '' }] })}
            >
              Another mark
            </button>
          </fieldset>
        )}
        <div className="grid gap-x-4 sm:grid-cols-3">
          {(kind === 'calibrated' || kind === 'end-check') && (
            <TextField
              label="It should read"
              value={expected}
              inputMode="decimal"
              onChange={(expected) => change({ expected })}
            />
          )}
          {kind === 'timed' && (
            <TextField label="Line out, m" value={expected} inputMode="decimal" onChange={(expected) => change({ expected })} />
          )}
          {kind !== 'taped' && kind !== 'counted' && kind !== 'looked-over' && (
            <TextField
              label={kind === 'timed' ? 'Seconds' : kind === 'calibrated' ? 'It read, before it was set' : 'It read'}
              value={draft.read}
              inputMode="text"
              onChange={(read) => change({ read })}
            />
          )}
          {units.length > 1 && (
            <div className="mt-3">
              <label className="font-bold text-sm" htmlFor="check-unit">
                Unit
              </label>
              <select id="check-unit" className="field" value={read} onChange={(event) => change({ unit: event.target.value })}>
                {units.map(({ words }) => (
                  <option key={words}>{words}</option>
                ))}
              </select>
            </div>
          )}
          {kind === 'counted' && (
            <TextField
              label={`Parts there, of ${item.parts ?? '?'}`}
              value={draft.counted}
              inputMode="numeric"
              onChange={(counted) => change({ counted })}
            />
          )}
        </div>
        <Beside field="expected" findings={findings} />
        <Beside field="read" findings={findings} />
        <Beside field="counted" findings={findings} />
        {kind === 'looked-over' && (
          <fieldset className="mt-3">
            <legend className="font-bold text-sm">Well</legend>
            {rule.lookAt.map((point) => (
              <Check
                key={point}
                className="border-rule border-b"
                checked={draft.ticked.includes(point)}
                onCheck={(on) => change({ ticked: on ? [...draft.ticked, point] : draft.ticked.filter((t) => t !== point) })}
              >
                {point}
              </Check>
            ))}
            <Beside field="ticked" findings={findings} />
          </fieldset>
        )}
        <TextField label="Remark" value={draft.remark} maxLength={200} onChange={(remark) => change({ remark })} />
      </div>
      {shown && (
        <p className="mt-3 border-slate border-l-4 pl-3" role="status">
          It gives: <Worked working={shown.result.working}>{shown.result.summary}</Worked>.
        </p>
      )}
      <Problem words={problem} />
      <div className="mt-4 flex gap-3">
        <button type="submit" className="act act-next">
          {shown ? 'Keep it' : 'Show what it gives'}
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

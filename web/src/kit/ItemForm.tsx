import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { Beside, type FieldFinding, Summary } from '../setup/findings';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { type MarksDraft, MarksFields } from './MarksFields';
import { CONDITIONS, type KitItem, type KitRule } from './words';

interface Props {
  rules: readonly KitRule[];
  given?: KitItem;
  version?: number;
  onKept(code: string): void;
  onCancel(): void;
}

/** An item as it is typed: numbers are text until they are kept. */
export function ItemForm({ rules, given, version = 0, onKept, onCancel }: Props) {
  // What was on the screen when the form was opened.
  const [seen] = useState(version);
  const [kind, setKind] = useState<Schemas['KitKind']>(given?.kind ?? 'line');
  const [code, setCode] = useState(given?.code ?? '');
  const [name, setName] = useState(given?.name ?? '');
  const [condition, setCondition] = useState(given?.condition ?? 'in-use');
  const [keeper, setKeeper] = useState(given?.keeper ?? '');
  const [remark, setRemark] = useState(given?.remark ?? '');
  const [until, setUntil] = useState(given?.usableUntil ?? '');
  const [parts, setParts] = useState(given?.parts ? String(given.parts) : '');
  const [figures, setFigures] = useState<Record<string, string>>(
    Object.fromEntries((given?.figures ?? []).map((f) => [f.name, String(f.value)])),
  );
  const [marks, setMarks] = useState<MarksDraft>(
    given?.marks ?? { unit: 'm', every: { written: '0.1', unit: 'm' }, usable: { written: '', unit: 'm' } },
  );
  const [findings, setFindings] = useState<FieldFinding[]>([]);
  const [problem, setProblem] = useState('');
  const rule = rules.find((r) => r.kind === kind);
  const lot = rule?.due == null;

  async function keep() {
    const typed = Object.entries(figures).filter(([figure, text]) => text.trim() && rule?.figures.some((f) => f.name === figure));
    const wrong = typed.find(([, text]) => numberOf(text) === undefined);
    if (wrong || (parts.trim() && numberOf(parts) === undefined)) {
      setProblem(`“${wrong?.[1] ?? parts}” is not a number.`);
      return;
    }
    const body: KitItem = {
      code: code.trim(),
      name,
      kind,
      condition,
      keeper: keeper.trim() || null,
      remark: remark.trim() || null,
      usableUntil: (lot && until) || null,
      parts: parts.trim() ? Math.round(numberOf(parts) ?? 0) : null,
      figures: typed.map(([figure, text]) => ({ name: figure, value: numberOf(text) ?? 0 })),
      marks: kind === 'line' ? marks : null,
    };
    const { data, problem: refused } = await asked(() =>
      given
        ? api.PUT('/api/kit/{code}', { params: { path: { code: given.code }, query: { version: seen } }, body })
        : api.POST('/api/kit', { body }),
    );
    setProblem(refused);
    setFindings(data?.findings ?? []);
    if (data?.kept) {
      onKept(data.code);
    }
  }

  return (
    <form
      className="max-w-2xl"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <h1 className="text-2xl sm:text-3xl">{given ? `Change ${given.code}` : 'An item of the kit'}</h1>
      <div className="grid gap-x-6 sm:grid-cols-2">
        {!given && (
          <SelectField
            label="What it is"
            value={kind}
            options={Object.fromEntries(rules.map((r) => [r.kind, r.words])) as Record<Schemas['KitKind'], string>}
            onChange={setKind}
          />
        )}
        <div>
          <TextField
            label="Code on its tag"
            value={code}
            readOnly={given !== undefined}
            maxLength={40}
            onChange={setCode}
            hint="For example R-3. It stays."
          />
          <Beside field="code" findings={findings} />
        </div>
        <div>
          <TextField label="Name" value={name} maxLength={80} onChange={setName} />
          <Beside field="name" findings={findings} />
        </div>
        <TextField label="Who has it" value={keeper} maxLength={80} onChange={setKeeper} />
        {given && <SelectField label="How it is" value={condition} options={CONDITIONS} onChange={setCondition} />}
        {lot && <TextField label="Usable until" type="date" value={until} onChange={setUntil} />}
        {kind === 'composite-sampler' && (
          <div>
            <TextField label="Parts" value={parts} inputMode="numeric" onChange={setParts} hint="Counted out and home." />
            <Beside field="parts" findings={findings} />
          </div>
        )}
        {rule?.figures.map((figure) => (
          <div key={figure.name}>
            <TextField
              label={figure.words}
              value={figures[figure.name] ?? ''}
              inputMode="decimal"
              onChange={(text) => setFigures({ ...figures, [figure.name]: text })}
            />
            <Beside field={figure.name} findings={findings} />
          </div>
        ))}
      </div>
      {kind === 'line' && !given && <MarksFields draft={marks} onChange={setMarks} findings={findings} />}
      <TextField label="Remark" value={remark} maxLength={200} onChange={setRemark} />
      <Problem words={problem} />
      <Summary findings={findings} />
      <div className="mt-5 flex gap-3">
        <button type="submit" className="act act-next">
          {given ? 'Keep the change' : 'Add it'}
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

import { useState } from 'react';
import { asked } from '../api/asked';
import { api, type Schemas } from '../api/client';
import { Beside } from '../setup/findings';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { type MarksDraft, MarksFields } from './MarksFields';
import type { KitItem } from './words';

/** A line that is marked anew gets another name: old readings keep the old marks. */
export function NewMarks({ item, onKept, onCancel }: { item: KitItem; onKept(code: string): void; onCancel(): void }) {
  const [code, setCode] = useState(`${item.code}-2`);
  const [marks, setMarks] = useState<MarksDraft>({
    unit: item.marks?.unit ?? 'm',
    every: item.marks?.every ?? { written: '', unit: 'm' },
    usable: item.marks?.usable ?? { written: '', unit: 'm' },
  });
  const [findings, setFindings] = useState<Schemas['FieldFinding'][]>([]);
  const [problem, setProblem] = useState('');
  return (
    <form
      className="mt-4 border border-ink bg-sheet p-4"
      onSubmit={async (event) => {
        event.preventDefault();
        const { data, problem: refused } = await asked(() =>
          api.POST('/api/kit/{code}/marks', { params: { path: { code: item.code } }, body: { code, marks: marks } }),
        );
        setProblem(refused);
        setFindings(data?.findings ?? []);
        if (data?.kept) {
          onKept(data.code);
        }
      }}
    >
      <h2 className="text-xl">New marks</h2>
      <p className="text-dim text-sm">
        In another colour. {item.code} is given up today; readings made on it keep its marks. Its stations take the new one.
      </p>
      <div className="max-w-xl">
        <TextField label="Name of the line with its new marks" value={code} maxLength={40} onChange={setCode} />
        <Beside field="code" findings={findings} />
        <MarksFields draft={marks} onChange={setMarks} findings={findings} />
      </div>
      <Problem words={problem} />
      <div className="mt-4 flex gap-3">
        <button type="submit" className="act act-next">
          Give it new marks
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

import type { Schemas } from '../api/client';
import { numberOf } from '../ui/number';

export interface StageDraft {
  stage: string;
  flow: string;
}

const EMPTY: StageDraft = { stage: '', flow: '' };

export function draftsOfStages(rows: Schemas['StageRow'][] | null | undefined): StageDraft[] {
  const given = (rows ?? []).map(({ stageM, flowM3S }) => ({ stage: String(stageM), flow: String(flowM3S) }));
  return [...given, EMPTY, EMPTY, EMPTY].slice(0, Math.max(3, given.length));
}

/** The rows that are filled in, null for no table; undefined where one is only half filled. */
export function stagesOf(drafts: StageDraft[]): Schemas['StageRow'][] | null | undefined {
  const begun = drafts.filter(({ stage, flow }) => stage.trim() || flow.trim());
  const rows = begun.flatMap((draft) => {
    const [stageM, flowM3S] = [numberOf(draft.stage), numberOf(draft.flow)];
    return stageM === undefined || flowM3S === undefined ? [] : [{ stageM, flowM3S }];
  });
  if (rows.length < begun.length) {
    return undefined;
  }
  return rows.length > 0 ? rows : null;
}

/** The table by which a reading of the staff becomes a flow. */
export function StageRows({ drafts, onChange }: { drafts: StageDraft[]; onChange(drafts: StageDraft[]): void }) {
  return (
    <>
      <p className="mt-1 text-dim text-sm">
        From gaugings of this stream, the lowest first. Between two rows the flow is drawn straight; beyond them there is none.
      </p>
      <table className="mt-2">
        <thead>
          <tr className="text-left text-dim text-sm">
            <th className="pr-3 font-normal">Stage, m</th>
            <th className="font-normal">Flow, m³/s</th>
          </tr>
        </thead>
        <tbody>
          {drafts.map((draft, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: rows stand in the order of their stages
            <tr key={i}>
              <td className="py-1 pr-3">
                <input
                  className="field num w-28"
                  aria-label={`Stage of row ${i + 1}, m`}
                  inputMode="decimal"
                  value={draft.stage}
                  onChange={(event) => onChange(drafts.with(i, { ...draft, stage: event.target.value }))}
                />
              </td>
              <td className="py-1">
                <input
                  className="field num w-28"
                  aria-label={`Flow of row ${i + 1}, m³/s`}
                  inputMode="decimal"
                  value={draft.flow}
                  onChange={(event) => onChange(drafts.with(i, { ...draft, flow: event.target.value }))}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <button type="button" className="act-quiet" onClick={() => onChange([...drafts, EMPTY])}>
        Another row
      </button>
    </>
  );
}

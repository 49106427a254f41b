import type { FieldSheet } from '../api/client';
import { useComputed } from '../field/useComputed';
import type { StepName } from '../water/steps';

/** What interrupts whatever is done: one touch away on every page of a visit. */
export function AnyTime({ sheet, shown, onStep }: { sheet: FieldSheet; shown: StepName; onStep: (step: StepName) => void }) {
  const { data } = useComputed('protocols', {});
  const open = (data?.protocols ?? []).filter(
    ({ code, anyTime }) => anyTime && code !== shown && !sheet.steps.some(({ name }) => name === code),
  );
  return open.map(({ code, title }) => (
    <button key={code} type="button" className="act-quiet mt-2 block" onClick={() => onStep(code)}>
      {title.toLowerCase()}?
    </button>
  ));
}

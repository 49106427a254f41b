import { useBox, useNames } from '../field/boxes';
import { SelectField } from './SelectField';

/** A box of Core’s that is chosen from a list. */
export function SelectBox<Kept extends string>({
  box: code,
  value,
  onChange,
}: {
  box: string;
  value: Kept;
  onChange: (kept: Kept) => void;
}) {
  return <SelectField label={useBox(code)?.label ?? '…'} value={value} options={useNames<Kept>(code)} onChange={onChange} />;
}

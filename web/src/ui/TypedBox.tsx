import { useBox } from '../field/boxes';
import { TextField } from './TextField';

/** A box of Core’s into which a number is typed, with its unit. What the number means, Core says once it is written. */
export function TypedBox({ box: code, value, onChange }: { box: string; value: string; onChange: (written: string) => void }) {
  const box = useBox(code);
  return (
    <TextField
      label={[box?.label ?? '…', box?.unit].filter(Boolean).join(', ')}
      value={value}
      onChange={onChange}
      inputMode="decimal"
      maxLength={8}
      hint={box?.hint ?? undefined}
    />
  );
}

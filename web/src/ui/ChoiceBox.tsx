import { useBox } from '../field/boxes';
import { Choice } from './Choice';

/** A box of Core’s that is answered with one touch; the page may ask for it in words of its own. */
export function ChoiceBox<Value extends string | number | boolean>({
  box: code,
  label,
  hint,
  value,
  onChoose,
  disabled = false,
}: {
  /** Its code: the kind of entry and the member of its body. */
  box: string;
  label?: string;
  hint?: string;
  value: Value | null | undefined;
  onChoose: (value: Value) => void;
  disabled?: boolean;
}) {
  const box = useBox(code);
  const choices = box?.choices ?? [];
  const kept = ({ code: name, number, yes }: (typeof choices)[number]) => (name ?? number ?? yes) as Value;
  const told = hint ?? choices.find((choice) => kept(choice) === value)?.note ?? box?.hint;
  return (
    <Choice
      label={label ?? box?.label ?? '…'}
      value={value}
      options={choices.map((choice) => [kept(choice), choice.words] as const)}
      onChoose={onChoose}
      disabled={disabled}
      {...(told && { hint: told })}
    />
  );
}

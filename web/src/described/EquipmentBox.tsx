import type { StationRecord } from '../api/client';
import { Choice } from '../ui/Choice';
import type { FieldBoxProps } from './FieldBox';

/** A thing of the kit, by one touch. */
export function EquipmentBox({ field, onGiven, gear = [] }: FieldBoxProps & { gear?: StationRecord['context']['gear'] }) {
  const fitting = (gear ?? []).filter(({ kind }) => kind === field.equipment?.kind);
  if (fitting.length === 0) {
    return (
      <p className="mt-3 border-buoy border-l-4 pl-2">
        {field.label}: there is none in the kit. Whoever coordinates enters it in Set-up, under Kit; what rests on it waits.
      </p>
    );
  }
  return (
    <Choice
      label={field.label}
      value={undefined}
      options={fitting.map(({ code, name }) => [code, `${code}, ${name}`] as const)}
      onChoose={(choice) => {
        const name = fitting.find(({ code }) => code === choice)?.name;
        void onGiven({ choice, ...(name ? { name } : {}) });
      }}
    />
  );
}

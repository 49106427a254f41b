import { useState } from 'react';
import { Choice } from '../ui/Choice';
import { TextField } from '../ui/TextField';
import type { FieldBoxProps } from './FieldBox';

/** Who has a part of the work: one of those aboard by one touch, or somebody else by name. */
export function RoleBox({ field, next, onGiven, people = [] }: FieldBoxProps & { people?: readonly string[] }) {
  const [other, setOther] = useState('');
  return (
    <div>
      {people.length > 0 && (
        <Choice
          label={field.label}
          value={undefined}
          options={people.map((name) => [name, name] as const)}
          onChoose={(name) => void onGiven({ name })}
        />
      )}
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (other.trim()) {
            void onGiven({ name: other.trim() }).then(() => setOther(''));
          }
        }}
      >
        <TextField
          label={people.length > 0 ? `${field.label}: somebody else` : field.label}
          value={other}
          autoComplete="off"
          className="w-64"
          onChange={setOther}
        />
        {other.trim() && (
          <button type="submit" className={`act min-h-14 ${next ? 'act-next' : ''}`}>
            Write it down
          </button>
        )}
      </form>
    </div>
  );
}

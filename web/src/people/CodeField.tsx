import { TextField } from '../ui/TextField';

/** By this name the server says that it asks for a code. */
export const SECOND_FACTOR = 'about:blank#second-factor';

/** Where the second factor is typed: the app's digits, or a recovery code. */
export function CodeField({ code, onChange }: { code: string; onChange(code: string): void }) {
  return (
    <TextField
      label="Second factor"
      value={code}
      onChange={onChange}
      autoComplete="one-time-code"
      maxLength={40}
      autoFocus
      hint="The six digits that your app shows, or one of your recovery codes."
    />
  );
}

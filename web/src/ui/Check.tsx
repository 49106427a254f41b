import type { ReactNode } from 'react';

interface Props {
  checked: boolean;
  /** Room and rules around it. */
  className?: string;
  onCheck(checked: boolean): unknown;
  children: ReactNode;
}

/** A box to tick, with its words; as large as a finger needs it. */
export function Check({ checked, className = '', onCheck, children }: Props) {
  return (
    <label className={`flex min-h-(--target) items-center gap-3 ${className}`}>
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-(--ink)"
        checked={checked}
        onChange={(event) => void onCheck(event.target.checked)}
      />
      {children}
    </label>
  );
}

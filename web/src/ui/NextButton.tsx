import { type ReactNode, useEffect, useRef } from 'react';
import { densityNow } from './appearance';
import { focusNext } from './focusNext';

/** The one next thing to do. At the desk it takes the keyboard, so that Enter goes on. */
export function NextButton({
  children,
  onClick,
  disabled = false,
  waits = false,
}: {
  children: ReactNode;
  onClick: () => void;
  disabled?: boolean;
  /** True where something may still be typed first: then the keyboard stays there. */
  waits?: boolean;
}) {
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (!disabled && !waits && densityNow() === 'desk') {
      focusNext(button.current);
    }
  }, [disabled, waits]);
  return (
    <button
      ref={button}
      type="button"
      className={`act mt-6 w-full sm:w-auto ${disabled ? '' : 'act-next'}`}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}

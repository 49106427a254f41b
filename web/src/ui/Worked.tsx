import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import type { Working } from '../api/client';

/** A derived number. It opens to show how it came about. */
export function Worked({
  working,
  children,
  className = '',
}: {
  working: Working | null | undefined;
  children: ReactNode;
  className?: string;
}) {
  if (!working) {
    return <span className={`num text-slate ${className}`}>{children}</span>;
  }
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`num text-left text-slate underline decoration-1 decoration-dotted underline-offset-4 ${className}`}
      >
        {children}
        <span className="sr-only">, show the working: {working.title}</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={`Working: ${working.title}`}
          align="start"
          sideOffset={6}
          collisionPadding={12}
          className="z-20 max-h-[80vh] w-[28rem] max-w-[94vw] overflow-auto border-[1.5px] border-ink bg-sheet p-4 text-sm shadow-lg"
        >
          <h3 className="text-base">{working.title}</h3>
          <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
            {working.inputs.map((input) => (
              <div key={`${input.name} ${input.entry ?? ''}`} className="contents">
                <dt className="text-dim">{input.name}</dt>
                <dd className="num">{input.text}</dd>
              </div>
            ))}
          </dl>
          <ol className="num mt-3 space-y-1 border-rule border-t pt-2">
            {working.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          <p className="mt-3">{working.rule}</p>
          <p className="mt-1 text-dim">{working.source}</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

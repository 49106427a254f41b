import { Popover } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import type { Working } from '../api/client';

/** A derived number. It opens to show how it came about; a working that was left out of the fold is asked for then. */
export function Worked({
  working: given,
  ask,
  title,
  children,
  className = '',
}: {
  working?: Working | null;
  /** Works it out when it is opened. */
  ask?: () => Promise<Working | null | undefined>;
  /** What it is, before the working is there. */
  title?: string;
  children: ReactNode;
  className?: string;
}) {
  const [asked, setAsked] = useState<Working | null>();
  const working = given ?? asked;
  if (!given && !ask) {
    return <span className={`num text-slate ${className}`}>{children}</span>;
  }
  return (
    <Popover.Root
      onOpenChange={(open) => {
        if (open && ask && !given) {
          void ask().then((answer) => setAsked(answer ?? null));
        }
      }}
    >
      <Popover.Trigger
        className={`num text-left text-slate underline decoration-1 decoration-dotted underline-offset-4 ${className}`}
      >
        {children}
        <span className="sr-only">, show the working: {given?.title ?? title}</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={`Working: ${working?.title ?? title}`}
          align="start"
          sideOffset={6}
          collisionPadding={12}
          className="z-20 max-h-[80vh] w-[28rem] max-w-[94vw] overflow-auto panel text-sm shadow-lg"
        >
          {working ? <WorkingText working={working} /> : <p className="text-dim">Working it out…</p>}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function WorkingText({ working }: { working: Working }) {
  return (
    <>
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
    </>
  );
}

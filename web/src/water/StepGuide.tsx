import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { FieldSheet, StationRecord } from '../api/client';
import { useComputed } from '../field/useComputed';
import type { StepName } from './steps';
import { stepName } from './steps';

/** How a step is done by the programme's methods, with the reasons and what can hurt: one touch away. */
export function StepGuide({ sheet, step, station }: { sheet: FieldSheet; step: StepName; station: StationRecord }) {
  const [open, setOpen] = useState(false);
  const { programme, station: place } = station.context;
  const { data: guide, error } = useComputed('step-guide', open ? { step, programme, shore: place.shore ?? false } : undefined);
  const title = stepName(sheet, step);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="act-quiet shrink-0 whitespace-nowrap !min-h-0 py-1 text-sm boat:py-3">
        How, and why
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={`How it is done: ${title}`}
          align="end"
          sideOffset={6}
          collisionPadding={12}
          className="z-20 max-h-[80vh] w-[30rem] max-w-[94vw] overflow-auto panel shadow-lg"
        >
          <h3 className="text-lg">{title}</h3>
          {error && <p role="alert">{error}</p>}
          <ol className="mt-1 list-decimal space-y-2 pl-5">
            {guide?.lines.map((line) => (
              <li key={line.do}>
                {line.do} <span className="block text-dim text-sm">{line.why}</span>
              </li>
            ))}
          </ol>
          {guide && guide.cautions.length > 0 && (
            <>
              <h4 className="caps mt-3 text-madder">What can hurt</h4>
              <ul className="mt-1 list-disc space-y-1 pl-5 text-sm">
                {guide.cautions.map((caution) => (
                  <li key={caution}>{caution}</li>
                ))}
              </ul>
            </>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

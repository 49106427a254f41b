import { useState } from 'react';
import type { FieldSheet } from '../api/client';
import { write } from '../field/entries';
import { Findings } from './findings';
import type { Repair } from './now/repairs';
import type { StepName } from './steps';
import { stepName } from './steps';

/** Steps may be taken in another order than the programme's; what that costs is said. */
export function StepOrder({ sheet }: { sheet: FieldSheet }) {
  const [moving, setMoving] = useState(false);
  const names: StepName[] = sheet.steps
    .map(({ name }) => name as StepName)
    .filter((name) => name !== 'arrive' && name !== 'leave');
  if (!sheet.due || sheet.state === 'closed' || names.length < 2) {
    return null;
  }
  const old = sheet.order && { strikes: sheet.order, why: 'another order' };
  const move = (at: number, by: 1 | -1) => {
    const steps = names.toSpliced(at, 1);
    steps.splice(at + by, 0, names[at] as StepName);
    void write({ visit: sheet.visit, kind: 'step-order', body: { steps }, ...old });
  };
  const costs = { ...sheet, findings: sheet.findings.filter(({ code, kept }) => code === 'order-changed' && kept == null) };
  return (
    <div className="px-4">
      {moving ? (
        <section aria-label="Order of the steps" className="mt-2">
          <ol className="border-rule border-t">
            {names.map((name, at) => (
              <li key={name} className="flex items-center gap-2 border-rule border-b">
                <span className="min-w-0 flex-1">{stepName(sheet, name)}</span>
                <button
                  type="button"
                  className="act-quiet px-3"
                  disabled={at === 0}
                  aria-label={`${stepName(sheet, name)} earlier`}
                  onClick={() => move(at, -1)}
                >
                  ▲
                </button>
                <button
                  type="button"
                  className="act-quiet px-3"
                  disabled={at === names.length - 1}
                  aria-label={`${stepName(sheet, name)} later`}
                  onClick={() => move(at, 1)}
                >
                  ▼
                </button>
              </li>
            ))}
          </ol>
          <button type="button" className="act mt-2" onClick={() => setMoving(false)}>
            This order stands
          </button>
        </section>
      ) : (
        <button type="button" className="act-quiet text-dim text-sm" onClick={() => setMoving(true)}>
          Change the order
        </button>
      )}
      <div className="text-sm">
        <Findings
          sheet={sheet}
          findings={costs.findings.filter(({ beside }) => beside === 'header')}
          repairs={() => back(sheet)}
        />
      </div>
    </div>
  );
}

/** The programme's order again. */
function back({ visit, order }: FieldSheet): Repair[] {
  return order
    ? [
        {
          label: 'The programme’s order',
          run: () => void write({ visit, kind: 'strike', body: {}, strikes: order, why: 'back to the programme’s order' }),
        },
      ]
    : [];
}

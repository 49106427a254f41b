import type { FieldSheet, StationRecord } from '../api/client';
import { RemarkBox } from '../ui/RemarkBox';
import { Findings } from '../water/findings';
import { addressOf, observe, type Protocol } from './observe';
import type { Description } from './protocols';
import { StepCard } from './StepCard';

/** Was it all done? A line for each step, counter and container of the day, answered by one touch. */
export function AuditLines({
  sheet,
  own,
  description,
  gear,
}: {
  sheet: FieldSheet;
  own: Protocol;
  description: Description;
  gear: StationRecord['context']['gear'];
}) {
  const lines = own.steps.filter(({ step }) => step === 'line');
  const rest = own.steps.filter(({ step }) => step !== 'line');
  const answered = lines.filter(({ open }) => open.length === 0).length;
  const answers = description.steps.flatMap(({ fields }) => fields).find(({ code }) => code === 'answer')?.choices ?? [];
  const closed = sheet.state === 'closed';
  return (
    <>
      <p className="mt-3" aria-live="polite">
        <b className="num text-xl">{answered}</b> of {lines.length} answered
      </p>
      <ul className="mt-1">
        {lines.map((line) => {
          const at = { sheet, description, step: 'line', item: line.item, attempt: 1, ashore: false };
          const value = (field: string) => own.values.find((one) => one.item === line.item && one.field === field);
          const answer = value('answer')?.value.choice;
          const remark = value('remark')?.text;
          return (
            <li key={line.item} className="border-rule border-t py-2">
              <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                <p className="min-w-48 flex-1" id={`line-${line.item}`}>
                  {line.words}
                </p>
                <fieldset className="flex gap-1.5" aria-labelledby={`line-${line.item}`}>
                  {answers.map(({ code, words }) => (
                    <button
                      key={code}
                      type="button"
                      disabled={closed}
                      aria-pressed={answer === code}
                      className={`act min-h-14 ${answer === code ? '!bg-ink !text-paper' : ''}`}
                      onClick={() => {
                        const before = value('answer');
                        if (answer !== code) {
                          void observe(at, 'answer', { choice: code }, before?.entry);
                        }
                      }}
                    >
                      {words}
                    </button>
                  ))}
                </fieldset>
              </div>
              {remark ? (
                <p className="text-dim text-sm">{remark}</p>
              ) : (
                answer === 'no' &&
                !closed && (
                  <RemarkBox
                    label={`What was left out, and why? ${line.words}`}
                    written={undefined}
                    disabled={false}
                    onGiven={(words) => void observe(at, 'remark', { words })}
                  />
                )
              )}
              <Findings
                sheet={sheet}
                findings={sheet.findings.filter(({ at: place }) => place?.startsWith(addressOf(own, line)))}
              />
            </li>
          );
        })}
      </ul>
      <ol>
        {rest.map((step) => (
          <StepCard
            key={step.step}
            {...{ sheet, own, description, gear, step }}
            next={answered === lines.length && step.open.length > 0}
            ashore={false}
          />
        ))}
      </ol>
    </>
  );
}

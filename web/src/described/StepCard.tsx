import type { FieldSheet, StationRecord } from '../api/client';
import { FillList } from '../bottles/FillList';
import { Findings } from '../water/findings';
import { WrittenMark } from '../water/WrittenMark';
import { FieldBox } from './FieldBox';
import { addressOf, observe, type Protocol, type Step } from './observe';
import type { Description, ObservedValue } from './protocols';

/** A step of a protocol on the visit: what to do, why, what can hurt, its boxes, what it fills, what is said of it. */
export function StepCard({
  sheet,
  own,
  description,
  step,
  next,
  ashore,
  gear,
}: {
  sheet: FieldSheet;
  own: Protocol;
  description: Description;
  step: Step;
  /** True for the first step that still asks something. */
  next: boolean;
  /** Done at the bench, also after the visit has ended. */
  ashore: boolean;
  gear: StationRecord['context']['gear'];
}) {
  const told = description.steps.find(({ code }) => code === step.step);
  if (!told) {
    return null;
  }
  const here = (value: { step: string; item?: string | null; try: number }) =>
    value.step === step.step && (value.item ?? null) === (step.item ?? null) && value.try === step.try;
  const address = addressOf(own, step);
  const closed = sheet.state === 'closed' && !ashore;
  const put = (field: string, value: ObservedValue) =>
    observe({ sheet, description, step: step.step, item: step.item, attempt: step.try, ashore }, field, value);
  const role = description.roles?.find(({ code }) => code === told.role);
  const holder = own.values.findLast(({ field }) => field === role?.code)?.text;
  const bottles = (own.containers ?? []).filter(({ number }) => step.containers?.includes(number));
  const name = told.fields.length === 0 && !told.fills ? undefined : `${told.do}${step.words ? ` ${step.words}` : ''}`;
  return (
    <li className="border-rule border-t py-3" aria-label={name}>
      {role && (
        <p className="mb-1 inline-block border-[1.5px] border-ink px-2 py-0.5 text-sm">
          <b>{role.label}</b>
          {holder ? `: ${holder}` : ''} <span className="text-dim">{role.touches}</span>
        </p>
      )}
      <p className="font-bold">
        {step.state === 'done' && own.values.some(here) && <span aria-hidden="true">✓ </span>}
        {told.do}
        {step.try > 1 && <span className="font-normal text-dim"> Try {step.try}.</span>}
      </p>
      <p className="text-dim text-sm">{told.why}</p>
      {told.cautions.map((caution) => (
        <p key={caution} className="mt-1 border-buoy border-l-4 pl-2 text-sm">
          {caution}
        </p>
      ))}
      {told.fields
        .filter(({ code }) => !step.unasked?.includes(code))
        .map((field) => {
          const values = own.values.filter((one) => one.field === field.code && here(one));
          const proposal = own.proposals?.find(
            (one) => one.step === step.step && one.field === field.code && (one.item == null || one.item === step.item),
          );
          const asked =
            values.length === 0 || (field.gathers && (field.kind === 'photo' ? values.length < (field.wanted ?? 1) : true));
          return (
            <div key={field.code + step.try}>
              {values.map((value, at) => (
                <WrittenMark
                  key={value.entry}
                  visit={sheet.visit}
                  entry={value.entry}
                  label={at === 0 ? field.label : `${field.label}, ${field.kind === 'role' ? 'handed over' : at + 1}`}
                  text={value.text}
                  ashore={ashore}
                />
              ))}
              {asked && !closed && (
                <Asked folded={field.kind === 'role' && values.length > 0} words={`Hand ${field.label.toLowerCase()} over`}>
                  {proposal && (
                    <button
                      type="button"
                      className="act mt-3"
                      onClick={() => void put(field.code, proposal.value as ObservedValue)}
                    >
                      {field.label}: {proposal.text}
                      <span className="block font-normal text-sm">{proposal.why}</span>
                    </button>
                  )}
                  <FieldBox
                    field={field}
                    address={`${sheet.visit}/${address}${field.code}${values.length > 0 ? `/${values.length}` : ''}`}
                    next={next && field.code === step.open[0]}
                    onGiven={(given) => put(field.code, given)}
                    gear={gear}
                    people={sheet.observers}
                    visit={sheet.visit}
                  />
                </Asked>
              )}
            </div>
          );
        })}
      {told.fills && bottles.length > 0 && (
        <FillList sheet={sheet} place={{ place: own.protocol, bottles, casts: [], order: [], sampler: false, own: true }} />
      )}
      <Findings sheet={sheet} findings={sheet.findings.filter((finding) => finding.at?.startsWith(address))} />
    </li>
  );
}

/** What may be asked once more stays folded until it is wanted. */
function Asked({ folded, words, children }: { folded: boolean; words: string; children: React.ReactNode }) {
  return folded ? (
    <details>
      <summary className="act-quiet flex cursor-pointer items-center">{words}</summary>
      {children}
    </details>
  ) : (
    children
  );
}

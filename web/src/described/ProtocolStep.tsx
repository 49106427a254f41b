import type { FieldSheet, Schemas, StationRecord } from '../api/client';
import { FillList } from '../bottles/FillList';
import { write, writeAshore } from '../field/entries';
import { NextButton } from '../ui/NextButton';
import { Findings } from '../water/findings';
import { after, onTo, stepName } from '../water/steps';
import type { StepProps } from '../water/VisitPage';
import { WrittenMark } from '../water/WrittenMark';
import { FieldBox } from './FieldBox';
import { type Description, type ObservedValue, useDescription } from './protocols';

type Protocol = Schemas['SheetProtocol'];
type Step = Schemas['SheetProtocolStep'];

/** A protocol that describes itself, step by step on the visit: one page for all of them. */
export function ProtocolStep({ sheet, station, onStep, protocol }: StepProps & { protocol: string }) {
  const { description, error } = useDescription(protocol);
  const own = sheet.protocols?.find((one) => one.protocol === protocol);
  const to = after(sheet, protocol);
  if (error) {
    return <p role="alert">{error}</p>;
  }
  if (description === undefined) {
    return <p className="text-dim">Opening…</p>;
  }
  if (description === null || !own) {
    return (
      <>
        <h2 className="text-2xl">{stepName(sheet, protocol)}</h2>
        <p className="mt-2">It is not part of this visit, or this device does not know it yet.</p>
      </>
    );
  }
  const bench = (step: Step) => description.steps.find(({ code }) => code === step.step)?.bench === true;
  const afloat = own.steps.filter((step) => !bench(step));
  const ashore = own.steps.filter(bench);
  const next = [...afloat, ...ashore].find(({ open }) => open.length > 0);
  const gear = station.context.gear;
  const done = sheet.steps.find((step) => step.name === protocol)?.state === 'done';
  // What belongs to no step that is shown, such as a try before this one, is said below them.
  const shown = own.steps.map((step) => addressOf(own, step));
  const rest = sheet.findings.filter(
    ({ at }) => at?.split('/')[0] === protocol && !shown.some((address) => at.startsWith(address)),
  );
  return (
    <>
      <h2 className="text-2xl">{description.title}</h2>
      <p className="mt-0.5 text-dim">{description.purpose}</p>
      {own.derived.map((derived) => (
        <p key={derived.parameter + (derived.item ?? '')} className="mt-2">
          {derived.name}{' '}
          {derived.value == null ? (
            <span className="text-dim">{derived.text}</span>
          ) : (
            <b className="num text-xl">
              {derived.about && 'about '}
              {derived.text}
            </b>
          )}
        </p>
      ))}
      <ol className="mt-3">
        {afloat.map((step) => (
          <OneStep
            key={`${step.step}/${step.item}/${step.try}`}
            {...{ sheet, own, description, step, gear }}
            next={step === next}
            ashore={false}
          />
        ))}
      </ol>
      <Findings sheet={sheet} findings={rest} />
      <More {...{ sheet, own, description, gear }} bench={false} />
      {ashore.length > 0 && (
        <section className="mt-6 border-ink border-t-[1.5px] pt-3" aria-label="At the bench, later">
          <h3 className="text-xl">At the bench, later</h3>
          <ol className="mt-2">
            {ashore.map((step) => (
              <OneStep
                key={`${step.step}/${step.item}/${step.try}`}
                {...{ sheet, own, description, step, gear }}
                next={step === next}
                ashore
              />
            ))}
          </ol>
          <More {...{ sheet, own, description, gear }} bench />
        </section>
      )}
      {done && sheet.state !== 'closed' && <NextButton onClick={() => onStep(to)}>{onTo(sheet, to)}</NextButton>}
    </>
  );
}

/** The beginning of the address of everything that a step holds. */
function addressOf(own: Protocol, step: Step): string {
  return `${own.protocol}/${step.step}/${step.item ?? ''}/${step.try}/`;
}

function OneStep({
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
    (ashore ? writeAshore : write)({
      visit: sheet.visit,
      kind: 'observation',
      body: {
        protocol: own.protocol,
        version: description.version,
        step: step.step,
        field,
        value,
        try: step.try,
        ...(step.item == null ? {} : { item: step.item }),
      },
    });
  const repeat = description.repeats.find(({ code }) => code === told.repeat);
  return (
    <li className="border-rule border-t py-3">
      <p className="font-bold">
        {step.state === 'done' && own.values.some(here) && <span aria-hidden="true">✓ </span>}
        {told.do}
        {step.item != null && repeat && repeat.most > 1 && (
          <span className="font-normal text-dim">
            {' '}
            {repeat.label} {step.item}
          </span>
        )}
        {step.try > 1 && <span className="font-normal text-dim"> Try {step.try}.</span>}
      </p>
      <p className="text-dim text-sm">{told.why}</p>
      {told.cautions.map((caution) => (
        <p key={caution} className="mt-1 border-ochre border-l-4 pl-2 text-sm">
          {caution}
        </p>
      ))}
      {told.fields.map((field) => {
        const value = own.values.find((one) => one.field === field.code && here(one));
        const proposal = own.proposals?.find((one) => one.step === step.step && one.field === field.code);
        return value ? (
          <WrittenMark
            key={field.code}
            visit={sheet.visit}
            entry={value.entry}
            label={field.label}
            text={value.text}
            ashore={ashore}
          />
        ) : closed ? null : (
          <div key={field.code + step.try}>
            {proposal && (
              <button type="button" className="act mt-3" onClick={() => void put(field.code, proposal.value as ObservedValue)}>
                {field.label}: {proposal.text}
                <span className="block font-normal text-sm">{proposal.why}</span>
              </button>
            )}
            <FieldBox
              field={field}
              address={`${sheet.visit}/${address}${field.code}`}
              next={next && field.code === step.open[0]}
              onGiven={(given) => put(field.code, given)}
              gear={gear}
            />
          </div>
        );
      })}
      {told.fills && (own.containers?.length ?? 0) > 0 && (
        <FillList
          sheet={sheet}
          place={{ place: own.protocol, bottles: own.containers ?? [], casts: [], order: [], sampler: false, own: true }}
        />
      )}
      <Findings sheet={sheet} findings={sheet.findings.filter((finding) => finding.at?.startsWith(address))} />
    </li>
  );
}

/** Another try where the last failed, another of what it is repeated for where there may be one. */
function More({
  sheet,
  own,
  description,
  gear,
  bench,
}: {
  sheet: FieldSheet;
  own: Protocol;
  description: Description;
  gear: StationRecord['context']['gear'];
  bench: boolean;
}) {
  if (sheet.state === 'closed' && !bench) {
    return null;
  }
  const here = description.repeats.filter(({ code }) =>
    description.steps.some((step) => step.repeat === code && step.bench === bench),
  );
  return here.map((repeat) => {
    const steps = own.steps.filter((step) => description.steps.find(({ code }) => code === step.step)?.repeat === repeat.code);
    const items = [...new Set(steps.map(({ item }) => item ?? ''))];
    const failed = steps.find((step) => step.failed);
    return (
      <MoreOf
        key={repeat.code}
        {...{ sheet, own, description, gear }}
        ashore={bench}
        code={repeat.code}
        item={failed?.item ?? String(items.length + 1)}
        attempt={failed ? failed.try + 1 : 1}
        words={
          failed
            ? `Another try of ${repeat.most > 1 ? `${repeat.label} ${failed.item}` : `the ${repeat.label}`}`
            : `Another ${repeat.label}`
        }
        hidden={!failed && (items.length >= repeat.most || steps.some((step) => step.state === 'to-do'))}
      />
    );
  });
}

/** The first box of another try or item: writing it opens the rest. */
function MoreOf({
  sheet,
  own,
  description,
  code,
  item,
  attempt,
  words,
  hidden,
  ashore,
  gear,
}: {
  sheet: FieldSheet;
  own: Protocol;
  description: Description;
  code: string;
  item: string;
  attempt: number;
  words: string;
  hidden: boolean;
  ashore: boolean;
  gear: StationRecord['context']['gear'];
}) {
  const first = description.steps.find((step) => step.repeat === code && step.fields.length > 0);
  const field = first?.fields[0];
  if (hidden || !first || !field) {
    return null;
  }
  return (
    <section className="border-rule border-t py-3" aria-label={words}>
      <h3 className="font-bold">{words}</h3>
      <p>{first.do}</p>
      <FieldBox
        key={`${item}/${attempt}`}
        field={field}
        address={`${sheet.visit}/${own.protocol}/${first.code}/${item}/${attempt}/${field.code}`}
        next={false}
        gear={gear}
        onGiven={(value) =>
          (ashore ? writeAshore : write)({
            visit: sheet.visit,
            kind: 'observation',
            body: {
              protocol: own.protocol,
              version: description.version,
              step: first.code,
              field: field.code,
              value,
              item,
              try: attempt,
            },
          })
        }
      />
    </section>
  );
}

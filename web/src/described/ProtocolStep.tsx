import { type ReactNode, useState } from 'react';
import type { FieldSheet, StationRecord } from '../api/client';
import { NextButton } from '../ui/NextButton';
import { Findings } from '../water/findings';
import { after, onTo, stepName } from '../water/steps';
import type { StepProps } from '../water/VisitPage';
import { AuditLines } from './AuditLines';
import { BeachMap } from './BeachMap';
import { ClockLine } from './ClockLine';
import { CrossSection } from './CrossSection';
import { DerivedValues } from './DerivedValues';
import { FieldBox } from './FieldBox';
import { groupsOf, innerItem, kindOf, outerItem, type StepGroup } from './groups';
import { KindPicker } from './KindPicker';
import { addressOf, observe, type Protocol, type Step } from './observe';
import { type Description, useDescription } from './protocols';
import { StepCard } from './StepCard';

/** A protocol that describes itself, step by step on the visit: one page for all of them. */
export function ProtocolStep({ sheet, station, onStep, protocol }: StepProps & { protocol: string }) {
  const { description, error } = useDescription(protocol, station.context.programme);
  const own = sheet.protocols?.find((one) => one.protocol === protocol) ?? begun(description);
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
  const told = (step: Step) => description.steps.find(({ code }) => code === step.step);
  const afloat = own.steps.filter((step) => !told(step)?.bench && !told(step)?.always);
  const ashore = own.steps.filter((step) => told(step)?.bench === true);
  const always = own.steps.filter((step) => told(step)?.always === true);
  const next = [...afloat, ...ashore].find(({ open }) => open.length > 0);
  const gear = station.context.gear;
  const done = sheet.steps.find((step) => step.name === protocol)?.state === 'done';
  // What belongs to no step that is shown, such as a try before this one, is said below them.
  const shown = own.steps.map((step) => addressOf(own, step));
  const rest = sheet.findings.filter(
    ({ at }) => at?.split('/')[0] === protocol && !shown.some((address) => at.startsWith(address)),
  );
  const part = { sheet, own, description, gear };
  return (
    <>
      <h2 className="text-2xl">{description.title}</h2>
      <p className="mt-0.5 text-dim">{description.purpose}</p>
      {sheet.state !== 'closed' && (own.clocks ?? []).map((clock) => <ClockLine key={clock.name} clock={clock} />)}
      <DerivedValues derived={own.derived} />
      {own.section && <CrossSection section={own.section} />}
      {(own.points?.length ?? 0) > 0 && <BeachMap points={own.points ?? []} />}
      {always.map((step) => (
        <Always key={step.step} words={told(step)?.do ?? ''}>
          <StepCard {...part} step={step} next={false} ashore={false} />
        </Always>
      ))}
      {description.picture === 'lines' ? (
        <AuditLines {...part} />
      ) : (
        <Groups {...part} steps={afloat} next={next} ashore={false} />
      )}
      <Findings sheet={sheet} findings={rest} />
      <More {...part} bench={false} />
      {ashore.length > 0 && (
        <section className="mt-6 border-ink border-t-[1.5px] pt-3" aria-label="At the bench, later">
          <h3 className="text-xl">At the bench, later</h3>
          <Groups {...part} steps={ashore} next={next} ashore />
          <More {...part} bench />
        </section>
      )}
      {done && sheet.state !== 'closed' && <NextButton onClick={() => onStep(to)}>{onTo(sheet, to)}</NextButton>}
    </>
  );
}

/** What may begin on any visit is asked though nothing of it stands yet. */
function begun(description: Description | null | undefined): Protocol | undefined {
  return description?.anyTime
    ? {
        protocol: description.code,
        due: false,
        values: [],
        derived: [],
        steps: description.steps
          .filter(({ fills }) => !fills)
          .map(({ code, fields }) => ({
            step: code,
            item: null,
            try: 1,
            state: 'to-do' as const,
            failed: false,
            open: fields.filter((f) => f.required).map((f) => f.code),
          })),
      }
    : undefined;
}

interface Part {
  sheet: FieldSheet;
  own: Protocol;
  description: Description;
  gear: StationRecord['context']['gear'];
}

/** Steps group by group; one that is done folds up, and opens again at a touch. */
function Groups({ steps, next, ashore, ...part }: Part & { steps: Step[]; next: Step | undefined; ashore: boolean }) {
  const groups = groupsOf(part.description, steps);
  const several = (group: StepGroup) => groups.filter(({ repeat }) => repeat === group.repeat).length > 1;
  return groups.map((group) => (
    <Group
      key={group.key}
      {...part}
      group={group}
      next={next}
      ashore={ashore}
      named={group.repeat !== undefined && several(group)}
    />
  ));
}

function Group({
  group,
  next,
  ashore,
  named,
  ...part
}: Part & { group: StepGroup; next: Step | undefined; ashore: boolean; named: boolean }) {
  const { sheet, own, description } = part;
  const done = group.steps.every(({ state, failed }) => state === 'done' && !failed);
  const [opened, setOpened] = useState<boolean>();
  // What is being worked on does not fold up under a finger: only what was done when the page was opened.
  const [wasDone] = useState(done);
  const open = opened ?? !(named && wasDone);
  const inner = description.repeats.find(({ within }) => within === group.repeat && group.repeat !== undefined);
  const first = inner && description.steps.find(({ repeat }) => repeat === inner.code);
  const asked = first?.fields.find(({ code }) => !unasked(own, first.code)?.includes(code));
  // Sand 1 and water 1 have one code: what is told here is of these steps alone.
  const values = own.values.filter(
    ({ item, step }) => outerItem(item) === group.item && group.steps.some((one) => one.step === step),
  );
  const body = (
    <>
      <ol className="mt-1">
        {group.steps.map((step) => (
          <StepCard key={`${step.step}/${step.item}/${step.try}`} {...part} step={step} next={step === next} ashore={ashore} />
        ))}
      </ol>
      {inner && first && asked && group.item !== undefined && sheet.state !== 'closed' && (
        <KindPicker
          repeat={inner}
          field={asked}
          taken={group.steps.flatMap(({ item }) => kindOf(item) ?? [])}
          address={(kind) =>
            `${sheet.visit}/${addressOf(own, { step: first.code, item: innerItem(group.item ?? '', kind), try: 1 })}${asked.code}`
          }
          onGiven={(kind, value) =>
            observe(
              { sheet, description, step: first.code, item: innerItem(group.item ?? '', kind), attempt: 1, ashore },
              asked.code,
              value,
            )
          }
          gear={part.gear}
          people={sheet.observers}
          visit={sheet.visit}
        />
      )}
    </>
  );
  return named ? (
    <section className="mt-3 border-ink border-t-[1.5px]" aria-label={ashore ? `${group.words}, at the bench` : group.words}>
      <button
        type="button"
        className="flex min-h-14 w-full items-center gap-3 text-left"
        aria-expanded={open}
        onClick={() => setOpened(!open)}
      >
        <h3 className="shrink-0 text-xl">
          {done && values.length > 0 && <span aria-hidden="true">✓ </span>}
          {group.words}
        </h3>
        {!open && <span className="min-w-0 truncate text-dim text-sm">{values.map(({ text }) => text).join(', ')}</span>}
        <span aria-hidden="true" className="ml-auto">
          {open ? '–' : '+'}
        </span>
      </button>
      {open && body}
    </section>
  ) : (
    body
  );
}

function unasked(own: Protocol, step: string): readonly string[] | null | undefined {
  return own.steps.find((one) => one.step === step)?.unasked;
}

/** What is one touch away throughout, and never waited for. */
function Always({ words, children }: { words: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <section className="mt-4" aria-label={words}>
      <button type="button" className="act min-h-14 border-2 border-madder" aria-expanded={open} onClick={() => setOpen(!open)}>
        {words}
      </button>
      {open && <ol>{children}</ol>}
    </section>
  );
}

/** Another try where the last failed, another of what it is repeated for where there may be one. */
function More({ bench, ...part }: Part & { bench: boolean }) {
  const { sheet, own, description } = part;
  if (sheet.state === 'closed' && !bench) {
    return null;
  }
  // What is begun on the water is tried again there, though some of it is done at the bench.
  const begins = (code: string) => description.steps.find((step) => step.repeat === code)?.bench;
  const here = description.repeats.filter(({ code, within }) => within == null && begins(code) === bench);
  return here.map((repeat) => {
    const steps = own.steps.filter((step) => description.steps.find(({ code }) => code === step.step)?.repeat === repeat.code);
    const items = [...new Set(steps.map(({ item }) => item ?? ''))];
    const failed = steps.find((step) => step.failed);
    const waits = steps.some((step) => step.state === 'to-do');
    if (!failed && (repeat.named || items.length >= repeat.most || waits)) {
      return null;
    }
    return (
      <MoreOf
        key={repeat.code}
        {...part}
        ashore={bench}
        code={repeat.code}
        item={failed?.item ?? String(items.length + 1)}
        attempt={failed ? failed.try + 1 : 1}
        words={
          failed
            ? `Another try of ${repeat.most > 1 ? (failed.words ?? `${repeat.label} ${failed.item}`) : `the ${repeat.label}`}`
            : `Another ${repeat.label}`
        }
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
  ashore,
  gear,
}: Part & { code: string; item: string; attempt: number; words: string; ashore: boolean }) {
  const first = description.steps.find(
    (step) => step.repeat === code && !step.always && step.fields.some((field) => !unasked(own, step.code)?.includes(field.code)),
  );
  const field = first?.fields.find((one) => !unasked(own, first.code)?.includes(one.code));
  if (!first || !field) {
    return null;
  }
  return (
    <section className="border-rule border-t py-3" aria-label={words}>
      <h3 className="font-bold">{words}</h3>
      <p>{first.do}</p>
      <FieldBox
        key={`${item}/${attempt}`}
        field={field}
        address={`${sheet.visit}/${addressOf(own, { step: first.code, item, try: attempt })}${field.code}`}
        next={false}
        gear={gear}
        people={sheet.observers}
        visit={sheet.visit}
        onGiven={(value) => observe({ sheet, description, step: first.code, item, attempt, ashore }, field.code, value)}
      />
    </section>
  );
}

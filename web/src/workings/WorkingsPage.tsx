import { keepPreviousData, skipToken, useQuery } from '@tanstack/react-query';
import { Link, useSearch } from '@tanstack/react-router';
import { useId, useState } from 'react';
import { OF_CORE, queries } from '../api/queries';
import { NumberOutside } from '../field/core';
import { Choice } from '../ui/Choice';
import { FindingNote } from '../ui/FindingNote';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { TextField } from '../ui/TextField';
import { Worked } from '../ui/Worked';
import type { Box, Calculator } from './calculator';
import { CALCULATORS } from './calculators';

/** Every calculation by itself, with its working and its source; it works with no signal. */
export function WorkingsPage() {
  const { of } = useSearch({ from: '/workings' });
  const all = CALCULATORS.flatMap((group) => group.all);
  const calculator = all.find(({ key }) => key === of) ?? all[0];
  return (
    <div className="mx-auto grid w-full max-w-[78rem] gap-x-10 px-4 py-5 sm:px-6 lg:grid-cols-[13rem_minmax(0,1fr)]">
      <nav aria-label="Calculations" className="mb-4 flex flex-wrap gap-x-6 border-rule max-lg:border-b lg:block lg:border-r">
        {CALCULATORS.map(({ group, all: calculators }) => (
          <div key={group} className="max-lg:contents lg:mb-4">
            <p className="caps max-lg:hidden">{group}</p>
            {calculators.map(({ key, title }) => (
              <Link
                key={key}
                to="/workings"
                search={{ of: key }}
                aria-current={key === calculator?.key ? 'page' : undefined}
                className="flex min-h-11 items-center text-dim no-underline aria-[current=page]:font-bold aria-[current=page]:text-ink lg:min-h-9 lg:border-transparent lg:border-l-[3px] lg:pl-3 lg:aria-[current=page]:border-ink"
              >
                {title}
              </Link>
            ))}
          </div>
        ))}
      </nav>
      <div className="min-w-0">{calculator && <Calculation key={calculator.key} calculator={calculator} />}</div>
    </div>
  );
}

function Calculation({ calculator }: { calculator: Calculator }) {
  const [given, setGiven] = useState<Record<string, string>>(() =>
    Object.fromEntries(calculator.boxes.map(({ key, initial }) => [key, initial])),
  );
  const wrong = calculator.boxes.find(
    ({ key, kind, optional }) => kind === 'number' && (given[key]?.trim() ? numberOf(given[key]) === undefined : !optional),
  );
  const { data: answer, error: problem } = useQuery(
    {
      queryKey: [OF_CORE, 'workings', calculator.key, given],
      queryFn: wrong
        ? skipToken
        : () => calculator.ask({ number: (key) => numberOf(given[key]), text: (key) => given[key] ?? '' }),
      placeholderData: keepPreviousData,
    },
    queries,
  );
  const outside = problem instanceof NumberOutside && calculator.boxes.some(({ key }) => key === problem.key) && problem;
  const problemOf = ({ key, label }: Box) => {
    if (wrong?.key === key) {
      return given[key]?.trim() ? `“${given[key]}” is not a number.` : 'Nothing is written here.';
    }
    return outside && outside.key === key ? `${label} ${outside.words}.` : '';
  };
  return (
    <>
      <h1 className="text-2xl sm:text-3xl">{calculator.title}</h1>
      <p className="text-dim">{calculator.what}</p>
      <div className="mt-4 grid gap-x-10 gap-y-6 md:grid-cols-[22rem_minmax(0,1fr)]">
        <div>
          {calculator.boxes.map((box) =>
            box.kind === 'choice' ? (
              <Choice
                key={box.key}
                label={box.label}
                value={given[box.key]}
                options={box.options ?? []}
                onChoose={(value) => setGiven({ ...given, [box.key]: value })}
              />
            ) : (
              <BoxField
                key={box.key}
                box={box}
                value={given[box.key] ?? ''}
                problem={problemOf(box)}
                onChange={(value) => setGiven({ ...given, [box.key]: value })}
              />
            ),
          )}
        </div>
        <section aria-label="What follows" aria-live="polite">
          {!wrong && !answer && !problem && <p className="text-dim">Working it out…</p>}
          {!wrong &&
            answer?.outcomes.map(({ label, text, working }, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: outcomes have their place and no other name
              <div key={i} className="border-rule border-b py-2">
                {label && <p className="text-dim text-sm">{label}</p>}
                <p className={working && text.length < 40 ? 'text-xl' : ''}>
                  {working && text.length < 40 ? (
                    <Worked working={working}>{text}</Worked>
                  ) : (
                    <>
                      {text} {working && <Worked working={working}>Show the working</Worked>}
                    </>
                  )}
                </p>
              </div>
            ))}
          {!wrong && answer?.findings.map((finding) => <FindingNote key={finding.code + finding.seen} finding={finding} />)}
          <Problem words={wrong || outside || !problem ? '' : problem.message} />
        </section>
      </div>
    </>
  );
}

function BoxField({
  box,
  value,
  problem,
  onChange,
}: {
  box: Box;
  value: string;
  problem: string;
  onChange(value: string): void;
}) {
  const id = useId();
  return box.kind === 'table' ? (
    <div className="mt-3">
      <label htmlFor={id} className="mb-1.5 block font-bold text-sm">
        {box.label}
      </label>
      <textarea id={id} className="field num h-52" value={value} onChange={(event) => onChange(event.target.value)} />
    </div>
  ) : (
    <TextField
      label={box.unit ? `${box.label}, ${box.unit}` : box.label}
      value={value}
      {...(box.kind === 'number' && { inputMode: 'decimal' as const })}
      onChange={onChange}
      {...(problem && { problem })}
    />
  );
}

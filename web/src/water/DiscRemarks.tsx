import type { FieldSheet, Schemas } from '../api/client';
import { write } from '../field/entries';
import { useComputed } from '../field/useComputed';
import { Choice } from '../ui/Choice';
import { ChoiceBox } from '../ui/ChoiceBox';
import { RemarkBox } from '../ui/RemarkBox';

/** What stands beside the marks: side, glasses, line, colour and opinion. Each is one touch. */
export function DiscRemarks({ sheet, gear }: { sheet: FieldSheet; gear: readonly Schemas['Gear'][] }) {
  const { remarks } = sheet;
  const { chart = [], words = [] } = useComputed('colour', {}).data ?? {};
  const { now, asks } = remarks;
  const closed = sheet.state === 'closed';
  const give = (body: Schemas['DiscConditionsBody']) => void write({ visit: sheet.visit, kind: 'disc-conditions', body });
  const opinionOf = (question: string) => remarks.opinions.find((opinion) => opinion.question === question);
  const opine = (question: string, answer: Pick<Schemas['OpinionBody'], 'answer' | 'words'>) => {
    const old = opinionOf(question);
    void write({
      visit: sheet.visit,
      kind: 'opinion',
      body: { question, ...answer },
      ...(old && { strikes: old.entry, why: 'answered anew' }),
    });
  };
  const steps = remarks.colour?.steps ?? [];
  // In words, where the programme uses no chart; what was answered before stays beside it.
  const say = (body: Schemas['ColourBody']) =>
    void write({
      visit: sheet.visit,
      kind: 'colour',
      body: {
        ...(remarks.colour?.murky != null && { murky: remarks.colour.murky }),
        ...(remarks.colour?.remark && { remark: remarks.colour.remark }),
        ...body,
      },
      ...(remarks.colourEntry && { strikes: remarks.colourEntry, why: 'answered anew' }),
    });
  // A second touch on a neighbour says "between"; on any other it starts anew.
  const colour = (step: number) => {
    const [only] = steps;
    const next =
      steps.length === 1 && only !== undefined && Math.abs(only - step) === 1 ? [only, step].sort((a, b) => a - b) : [step];
    void write({
      visit: sheet.visit,
      kind: 'colour',
      body: { steps: next, ...(remarks.colour?.murky != null && { murky: remarks.colour.murky }) },
      ...(remarks.colourEntry && { strikes: remarks.colourEntry, why: 'answered anew' }),
    });
  };
  const discs = gear.filter(({ kind }) => kind === 'disc').map(({ code, name }) => [code, `${code} ${name}`] as const);
  const asked = (question: string) => asks.includes(question);
  return (
    <section aria-label="Beside the marks" className="mt-5 border-rule border-t pt-2">
      {remarks.shade && <p className="text-dim">{remarks.shade}</p>}
      <div className="grid gap-x-8 xl:grid-cols-2">
        <ChoiceBox box="disc-conditions.side" value={now.side} onChoose={(side) => give({ side })} disabled={closed} />
        <ChoiceBox
          box="disc-conditions.sunglasses"
          value={now.sunglasses}
          onChoose={(sunglasses) => give({ sunglasses })}
          disabled={closed}
        />
        <ChoiceBox box="disc-conditions.tube" value={now.tube} onChoose={(tube) => give({ tube })} disabled={closed} />
        <ChoiceBox
          box="disc-conditions.lineAngleDeg"
          value={now.lineAngleDeg}
          onChoose={(lineAngleDeg) => give({ lineAngleDeg })}
          disabled={closed}
        />
      </div>
      {discs.length > 1 && (
        <Choice label="Disc" value={now.disc} options={discs} onChoose={(disc) => give({ disc })} disabled={closed} />
      )}
      {remarks.colourBy === 'remark' && (
        <RemarkBox
          label="Colour of the water"
          written={remarks.colour?.remark}
          disabled={closed}
          onGiven={(remark) => say({ remark })}
        />
      )}
      {remarks.colourBy === 'words-foot' && (
        <fieldset className="mt-3 min-w-0" disabled={closed}>
          <legend className="font-bold text-sm">Colour, the disc one foot down</legend>
          <ChoiceBox box="colour.murky" value={remarks.colour?.murky} onChoose={(murky) => say({ murky })} disabled={closed} />
          <Choice
            label="Its colour"
            value={remarks.colour?.remark}
            options={words.map((word) => [word, word] as const)}
            onChoose={(remark) => say({ remark })}
            disabled={closed}
          />
        </fieldset>
      )}
      {remarks.colourBy !== 'remark' && remarks.colourBy !== 'words-foot' && (asked('colour') || remarks.colour) && (
        <fieldset className="mt-3 min-w-0" disabled={closed}>
          <legend className="font-bold text-sm">
            Colour on the white quarter{remarks.colourAtText ? `, the disc hung at ${remarks.colourAtText}` : ''}
          </legend>
          <p className="text-dim text-sm">
            {remarks.colourText || 'Touch the step; touch its neighbour, too, where it lies between.'}
          </p>
          <div className="mt-1 flex flex-wrap gap-1">
            {chart.map(({ step, name, hex }) => (
              <button
                key={step}
                type="button"
                aria-pressed={steps.includes(step)}
                aria-label={`${step} ${name}`}
                title={name}
                className="flex min-h-(--target) min-w-10 items-end justify-center rounded-md border-[1.5px] border-dim pb-0.5 text-sm aria-pressed:border-[3px] aria-pressed:border-ink boat:min-w-12"
                style={{ background: hex }}
                onClick={() => colour(step)}
              >
                <span className="num rounded bg-sheet px-1 text-ink">{step}</span>
              </button>
            ))}
          </div>
          <ChoiceBox
            box="colour.murky"
            value={remarks.colour?.murky}
            onChoose={(murky) =>
              void write({
                visit: sheet.visit,
                kind: 'colour',
                body: { ...(steps.length > 0 && { steps }), murky },
                ...(remarks.colourEntry && { strikes: remarks.colourEntry, why: 'answered anew' }),
              })
            }
            disabled={closed}
          />
        </fieldset>
      )}
      {(asked('algae') || opinionOf('algae')) && (
        <ChoiceBox
          box="opinion.algae"
          value={opinionOf('algae')?.answer}
          onChoose={(answer) => opine('algae', { answer })}
          disabled={closed}
        />
      )}
      {(asked('recreation') || opinionOf('recreation')) && (
        <ChoiceBox
          box="opinion.recreation"
          value={opinionOf('recreation')?.answer}
          onChoose={(answer) => opine('recreation', { answer })}
          disabled={closed}
        />
      )}
      {(asked('remark') || opinionOf('remark')) && (
        <RemarkBox
          label="Your opinion of the water, in your own words"
          written={opinionOf('remark')?.words}
          disabled={closed}
          onGiven={(said) => opine('remark', { words: said })}
        />
      )}
    </section>
  );
}

import { useState } from 'react';
import type { FieldSheet, Schemas } from '../api/client';
import { write } from '../field/entries';
import { Check } from '../ui/Check';
import { ChoiceBox } from '../ui/ChoiceBox';
import { numberOf } from '../ui/number';
import { Problem } from '../ui/Problem';
import { UNITS } from '../ui/units';
import { WrittenMark } from './WrittenMark';

type CameUp = NonNullable<Schemas['CompositeTryBody']['fill']>;

/** The lowerings of the composite sampler: to which mark, how fast up, how full it came. */
export function Tries({ sheet }: { sheet: FieldSheet }) {
  const { tries, good, raiseS, raiseWords } = sheet.tries;
  const closed = sheet.state === 'closed';
  const [more, setMore] = useState(false);
  return (
    <section aria-label="Lowerings" className="mt-5">
      {tries.length > 0 && (
        <div className="border-rule border-t">
          {tries.map((one) => (
            <WrittenMark key={one.entry} visit={sheet.visit} entry={one.entry} label={one.text} text={one.good ? '✓' : 'again'} />
          ))}
        </div>
      )}
      {!closed && (!good || more) && (
        <TryForm
          key={tries.length}
          sheet={sheet}
          raiseS={raiseS ?? undefined}
          raiseWords={raiseWords ?? undefined}
          onGiven={async (body) => {
            await write({ visit: sheet.visit, kind: 'composite-try', body });
            setMore(false);
          }}
        />
      )}
      {!closed && good && !more && (
        <button type="button" className="act-quiet" onClick={() => setMore(true)}>
          lower it once more
        </button>
      )}
    </section>
  );
}

function TryForm({
  sheet,
  raiseS,
  raiseWords,
  onGiven,
}: {
  sheet: FieldSheet;
  raiseS: number | undefined;
  raiseWords: string | undefined;
  onGiven: (body: Schemas['CompositeTryBody']) => Promise<void>;
}) {
  // In the line's own unit, whatever unit the reader sees.
  const { mark } = sheet.composite;
  const unit = mark?.unit ?? sheet.lineUnit ?? 'm';
  const [depth, setDepth] = useState(mark?.written ?? '');
  const [seconds, setSeconds] = useState('');
  const [fill, setFill] = useState<CameUp>();
  const [marks, setMarks] = useState('');
  const [before, setBefore] = useState(false);
  const [end, setEnd] = useState(false);
  const rise = numberOf(seconds);
  const percent = numberOf(marks);
  // Core says what the numbers mean; here only what is no number is held back.
  const unread =
    (seconds.trim() && rise === undefined && `“${seconds}” is not a number of seconds.`) ||
    (marks.trim() && (percent === undefined || !Number.isInteger(percent)) && `“${marks}” is not a whole number of per cent.`) ||
    '';
  const told = marks.trim() ? percent !== undefined : fill !== undefined;
  return (
    <form
      className="mt-3 panel"
      aria-label="A lowering of the composite sampler"
      onSubmit={(event) => {
        event.preventDefault();
        if (told && !unread) {
          void onGiven({
            depth: { written: depth, unit },
            ...(percent === undefined ? { fill: fill ?? null } : { fillPercent: percent }),
            ...(rise !== undefined && { raiseS: rise }),
            ...(before && { beforeSurface: true }),
            ...(end && { lineEnd: true }),
          });
        }
      }}
    >
      <p className="font-bold">
        {raiseS ? (
          <>
            Raise it over about <span className="num">{raiseS} s</span>{' '}
            <span className="font-normal text-dim">({raiseWords})</span>
          </>
        ) : (
          'Down free, up slow and steady'
        )}
      </p>
      <div className="mt-2 flex flex-wrap gap-4">
        <label>
          <span className="block text-sm">Lowered to, {UNITS[unit].name}</span>
          <input
            className="field num !w-36 text-lg"
            value={depth}
            maxLength={20}
            autoComplete="off"
            onChange={(event) => setDepth(event.target.value)}
          />
        </label>
        <label>
          <span className="block text-sm">Raised in, seconds</span>
          <input
            className="field num !w-32 text-lg"
            value={seconds}
            maxLength={6}
            inputMode="decimal"
            autoComplete="off"
            onChange={(event) => setSeconds(event.target.value)}
          />
        </label>
      </div>
      <ChoiceBox
        box="composite-try.fill"
        value={marks.trim() ? undefined : fill}
        onChoose={(by) => {
          setFill(by);
          setMarks('');
        }}
      />
      <label className="mt-2 block">
        <span className="block text-sm">or by the marks on the bottle, %</span>
        <input
          className="field num !w-32 text-lg"
          value={marks}
          maxLength={3}
          inputMode="numeric"
          autoComplete="off"
          onChange={(event) => setMarks(event.target.value)}
        />
      </label>
      <div className="mt-2 flex flex-wrap gap-x-5">
        {(marks.trim() ? percent === 100 : fill === 'full') && (
          <Check checked={before} onCheck={() => setBefore(!before)}>
            full before it reached the surface
          </Check>
        )}
        <Check checked={end} onCheck={() => setEnd(!end)}>
          the line ended before the mark
        </Check>
      </div>
      <Problem words={unread} />
      <button type="submit" className="act act-next mt-2 w-full sm:w-auto" disabled={!told || !!unread || !depth.trim()}>
        Write it down
      </button>
    </form>
  );
}

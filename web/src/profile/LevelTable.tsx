import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { compute } from '../field/core';
import { LevelMark } from '../ui/FindingNote';
import { focusNext } from '../ui/focusNext';
import { numberOf } from '../ui/number';
import { Reason } from '../ui/Reason';
import { Worked } from '../ui/Worked';
import { useHere } from '../water/now/here';
import { openOn } from '../water/now/worst';
import { BOXES, type Box, type Level, type LevelToRead, type Profile, type Typed, unitOf } from './columns';

interface Props {
  turn: number;
  profile: Profile;
  target: LevelToRead | null | undefined;
  again: Level | undefined;
  draft: Typed;
  setDraft: (draft: Typed) => void;
  problem: string;
  closed: boolean;
  /** True where the next level is typed into a row of the table. */
  writing: boolean;
  onWrite: (why?: string) => Promise<boolean>;
  onChoose: (level: LevelToRead | Level) => void;
  onCancel: () => void;
  onStrike: (level: Level, why: string) => Promise<void>;
}

/** What was read, from the surface down; at the desk with the row that is being typed. */
export function LevelTable(props: Props) {
  const { profile, target, again, closed, writing, onChoose } = props;
  const boxes = profile.columns as Box[];
  const findings = useHere()?.sheet.findings ?? [];
  // The row being typed stands where its depth belongs.
  const place = again
    ? -1
    : target
      ? profile.levels.filter((level) => level.depthM <= target.depthM).length
      : profile.levels.length;
  const [open, setOpen] = useState<string>();
  const latest = useRef(props);
  latest.current = props;
  // The same for as long as the table stands, so that only rows that changed are drawn again.
  const touch = useMemo<Touch>(
    () => ({
      open: ({ entry }) => setOpen((last) => (last === entry ? undefined : entry)),
      again: (level) => {
        setOpen(undefined);
        latest.current.onChoose(level);
      },
      strike: (level, why) => {
        setOpen(undefined);
        void latest.current.onStrike(level, why);
      },
    }),
    [],
  );
  const later = profile.toRead.filter((level) => level !== target && level.depthM !== target?.depthM);
  return (
    <div className="mt-3">
      <table className="w-full table-fixed border-collapse">
        <caption className="sr-only">Levels of the profile</caption>
        <thead>
          <tr className="border-ink border-b">
            <th scope="col" className="caps py-1 text-left">
              Depth
            </th>
            {boxes.map((box) => (
              <th key={box} scope="col" className={`caps py-1 text-right !normal-case ${wideOnly(box)}`} title={BOXES[box].label}>
                {unitOf(profile, box)}
              </th>
            ))}
            <th scope="col" className="caps w-20 whitespace-nowrap py-1 text-right !normal-case">
              {profile.bothUnits ? (profile.oxygenUnit === 'mg/L' ? '% sat.' : 'mg/L') : ''}
            </th>
            <th scope="col" className="caps w-20 whitespace-nowrap py-1 text-right !normal-case max-sm:hidden">
              Δ °C/m
            </th>
          </tr>
        </thead>
        <tbody className="num">
          {profile.levels.map((level, i) => (
            <Rows key={level.entry}>
              {writing && place === i && target && <Writing {...props} boxes={boxes} />}
              {writing && again?.entry === level.entry ? (
                <Writing {...props} boxes={boxes} />
              ) : (
                <Row
                  level={level}
                  first={i === 0}
                  meter={profile.meter}
                  temperatureUnit={profile.temperatureUnit}
                  oxygenUnit={profile.oxygenUnit}
                  both={profile.bothUnits ?? true}
                  boxes={boxes}
                  closed={closed}
                  open={open === level.entry}
                  mark={openOn(findings, level.entry)}
                  touch={touch}
                />
              )}
            </Rows>
          ))}
          {writing && place === profile.levels.length && (target || again) && <Writing {...props} boxes={boxes} />}
        </tbody>
      </table>
      {!closed && later.length > 0 && (
        <p className="mt-2 flex flex-wrap items-baseline gap-x-1 text-dim text-sm">
          <span>Still to read:</span>
          {later.map((level) => (
            <button key={level.depthM} type="button" className="act-quiet num" onClick={() => onChoose(level)}>
              {level.text}
              {level.wanted === 'break' ? ' (proposed)' : ''}
            </button>
          ))}
        </p>
      )}
    </div>
  );
}

function Rows({ children }: { children: React.ReactNode }) {
  return <>{children}</>;
}

/** What a touch on a row does. */
interface Touch {
  open: (level: Level) => void;
  again: (level: Level) => void;
  strike: (level: Level, why: string) => void;
}

interface RowProps {
  level: Level;
  first: boolean;
  meter: Profile['meter'];
  temperatureUnit: Profile['temperatureUnit'];
  oxygenUnit: Profile['oxygenUnit'];
  /** True where oxygen is shown in the other unit, too. */
  both: boolean;
  boxes: Box[];
  closed: boolean;
  open: boolean;
  /** The worst that is open about it. */
  mark: 'stop' | 'check' | undefined;
  touch: Touch;
}

const Row = memo(function Row({
  level,
  first,
  meter,
  temperatureUnit,
  oxygenUnit,
  both,
  boxes,
  closed,
  open,
  mark,
  touch,
}: RowProps) {
  const [striking, setStriking] = useState(false);
  const textOf = (box: Box) => textIn(level, box, temperatureUnit, oxygenUnit);
  const derived = both ? (oxygenUnit === 'mg/L' ? level.percent : level.mgLText) : undefined;
  return (
    <>
      <tr className={`border-rule border-b ${level.marked ? 'text-dim' : ''}`}>
        <th scope="row" className="whitespace-nowrap py-0.5 text-left font-normal">
          <button
            type="button"
            className="min-h-9 text-left boat:min-h-12"
            aria-expanded={open}
            disabled={closed}
            onClick={() => touch.open(level)}
            aria-label={`${level.depthText}, read again or strike`}
          >
            {level.depthText}
            {mark && (
              <span className="ml-1.5 inline-block align-text-bottom">
                <LevelMark level={mark} className="size-4" />
                <span className="sr-only">a {mark} is open</span>
              </span>
            )}
            {level.added && <span className="ml-2 font-sans text-dim text-sm">added</span>}
            {level.marked && <span className="ml-2 font-sans text-madder text-sm">mud?</span>}
          </button>
        </th>
        {boxes.map((box) => (
          <td key={box} className={`py-0.5 text-right ${wideOnly(box)}`}>
            {box === 'oxygen' && level.oxygenRead && (
              <span className="mr-2 text-dim text-sm" title="as written">
                <s>{level.oxygen}</s>
                <span className="sr-only"> as written, read as </span>
              </span>
            )}
            {textOf(box)}
          </td>
        ))}
        <td className="py-0.5 text-right text-slate">
          {derived != null && level.oxygen && level.temperatureC != null && (
            <Worked
              title={`oxygen at ${level.depthText}`}
              ask={() => oxygenWorking(level, meter)}
              className="decoration-transparent"
            >
              {derived}
            </Worked>
          )}
        </td>
        <td className="py-0.5 text-right text-slate max-sm:hidden">{first ? '' : level.fallText}</td>
      </tr>
      {open && (
        <tr>
          <td colSpan={boxes.length + 3} className="border-rule border-b bg-paper2 p-2 font-sans">
            {striking ? (
              <Reason
                title={`Why is the level at ${level.depthText} struck?`}
                suggestions={['typed wrong', 'misheard', 'misread', 'probe in mud']}
                confirm="Strike it"
                onGiven={(why) => touch.strike(level, why)}
                onCancel={() => setStriking(false)}
              />
            ) : (
              <div className="flex flex-wrap items-center gap-2">
                {boxes.filter(wideOnly).map(
                  (box) =>
                    level[box] != null && (
                      <span key={box} className="num sm:hidden">
                        {textOf(box)} {BOXES[box].short}
                      </span>
                    ),
                )}
                <button type="button" className="act" onClick={() => touch.again(level)}>
                  Read it again
                </button>
                <button type="button" className="act" onClick={() => setStriking(true)}>
                  Strike it…
                </button>
              </div>
            )}
          </td>
        </tr>
      )}
    </>
  );
});

/** A phone has no room for more than temperature, oxygen and salinity; the rest shows when a level is opened. */
function wideOnly(box: Box): string {
  return box === 'conductivity' || box === 'ph' ? 'max-sm:hidden' : '';
}

function textIn(level: Level, box: Box, temperatureUnit: Profile['temperatureUnit'], oxygenUnit: Profile['oxygenUnit']): string {
  switch (box) {
    case 'temperature':
      return level.temperature
        ? level.temperatureUnit === temperatureUnit
          ? level.temperature
          : `${level.temperature} ${level.temperatureUnit}`
        : '';
    case 'oxygen': {
      // A lost point stays as it was written; what it is read as is shown beside it.
      const read = level.oxygenRead ?? level.oxygen;
      return read ? (level.oxygenUnit === oxygenUnit ? read : `${read} ${level.oxygenUnit ?? ''}`) : '';
    }
    default:
      return level[box] == null ? '' : String(level[box]);
  }
}

async function oxygenWorking(level: Level, meter: Profile['meter']) {
  const { working } = await compute('oxygen', {
    value: numberOf(String(level.oxygenRead ?? level.oxygen)) ?? Number.NaN,
    unit: level.oxygenUnit ?? 'mg/L',
    temperatureC: level.temperatureC ?? 0,
    salinity: level.salinity ?? 0,
    conductanceUsCm: level.salinity == null ? (level.conductivity ?? null) : null,
    altitudeM: meter.altitudeM,
    pressureKpa: meter.pressureKpa ?? null,
    fromWeatherReport: false,
    depthM: level.depthM,
  });
  return working;
}

/** The row that is being typed: Enter goes to the next box, and from the last writes the level down. */
function Writing({ turn, profile, target, again, draft, setDraft, problem, boxes, onWrite, onCancel }: Props & { boxes: Box[] }) {
  const first = useRef<HTMLInputElement>(null);
  const row = useRef<HTMLTableRowElement>(null);
  const depth = again?.depthText ?? target?.text ?? '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the next level takes the keyboard
  useEffect(() => {
    focusNext(first.current);
    row.current?.scrollIntoView({ block: 'nearest' });
  }, [depth, turn]);
  return (
    <>
      <tr ref={row} className="scroll-mb-28 border-buoy border-y-2 bg-sheet text-lg">
        <th scope="row" className="whitespace-nowrap py-1 pl-1 text-left font-bold text-buoy">
          {depth}
          {target?.wanted === 'break' && !again && <span className="ml-2 font-normal font-sans text-sm">proposed</span>}
        </th>
        {boxes.map((box, i) => (
          <td key={box} className="py-1 text-right">
            <input
              ref={i === 0 ? first : undefined}
              className="w-full min-w-0 bg-transparent text-right font-bold outline-none focus:underline"
              aria-label={`${BOXES[box].label} at ${depth}, ${unitOf(profile, box)}`}
              inputMode="decimal"
              autoComplete="off"
              maxLength={12}
              value={draft[box] ?? ''}
              onChange={(event) => setDraft({ ...draft, [box]: event.target.value })}
              onKeyDown={(event) => {
                if (event.key === 'Enter') {
                  event.preventDefault();
                  const inputs = row.current?.querySelectorAll('input');
                  if (i < boxes.length - 1) {
                    inputs?.[i + 1]?.focus();
                  } else {
                    // Who has gone on meanwhile is not called back.
                    void onWrite('read again').then(
                      (written) => written && row.current?.contains(document.activeElement) && inputs?.[0]?.focus(),
                    );
                  }
                } else if (event.key === 'Escape' && again) {
                  onCancel();
                }
              }}
            />
          </td>
        ))}
        <td colSpan={2} className="pr-1 text-right">
          <button
            type="button"
            className="act act-next !min-h-8 !px-3 font-sans text-sm"
            onClick={() => void onWrite('read again')}
          >
            Write
          </button>
        </td>
      </tr>
      {(problem || again) && (
        <tr>
          <td colSpan={boxes.length + 3} className="pb-1 font-sans">
            {problem && (
              <span className="text-madder" role="alert">
                {problem}
              </span>
            )}{' '}
            {again && (
              <button type="button" className="act-quiet" onClick={onCancel}>
                Leave this level as it is
              </button>
            )}
          </td>
        </tr>
      )}
    </>
  );
}

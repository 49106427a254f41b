import { useEffect, useState } from 'react';
import type { Finding } from '../api/client';
import { write } from '../field/entries';
import { LiveSonde } from '../instruments/LiveSonde';
import { useInstruments } from '../instruments/useInstrument';
import { useDensity } from '../ui/appearance';
import { NextButton } from '../ui/NextButton';
import { useSaid } from '../ui/said';
import { Findings } from '../water/findings';
import { useAsked } from '../water/now/here';
import { after, onTo } from '../water/steps';
import type { StepProps } from '../water/VisitPage';
import { WrittenMark } from '../water/WrittenMark';
import { bodyOf, type Held, type Level, type LevelToRead, NOTHING, type Profile, type Typed, typedOf } from './columns';
import { useDraft } from './draft';
import { LevelKeys } from './LevelKeys';
import { LevelTable } from './LevelTable';
import { LoggedCast } from './LoggedCast';
import { MeterStrip } from './MeterStrip';
import { ProfileFigures } from './ProfileFigures';

const UNTYPED: Finding = {
  code: 'level-empty',
  level: 'stop',
  seen: 'Nothing is written at this level yet.',
  why: 'A level without a number says nothing.',
  act: 'Type what the display shows.',
  beside: 'entry',
  about: [],
  noWayRound: true,
};

/** Temperature and oxygen from the surface down: one level at a time on the boat, the whole table at the desk. */
export function ProfileStep({ sheet, station, onStep }: StepProps) {
  const { profile } = sheet;
  const boat = useDensity() === 'boat';
  const [held, setHeld, clear] = useDraft<Held>(`at level ${sheet.visit}`, NOTHING);
  const [problem, setProblem] = useState<Finding>();
  const said = useSaid(problem, boat);
  const instruments = useInstruments();
  const [hearing, setHearing] = useState(false);
  // Counts up when the keyboard should go back to the row that is being typed.
  const [turn, setTurn] = useState(0);
  // The depth that was written last, until the sheet says so: what is typed meanwhile belongs to the next one.
  const [wrote, setWrote] = useState<number>();
  const chosen = held.level;
  const again = chosen && 'entry' in chosen ? chosen : undefined;
  const typing = Object.values(held.typed).some(Boolean);
  const choose = (level: LevelToRead | Level) => {
    setProblem(undefined);
    setHeld({ level, typed: 'entry' in level ? typedOf(level) : {} });
  };
  useAsked('level', (of) => {
    const level =
      profile?.levels.find(({ entry }) => entry === of) ?? profile?.toRead.find(({ depthM }) => String(depthM) === of);
    if (level) {
      choose(level);
    }
    return level !== undefined;
  });
  // A level that has been read meanwhile is no longer the chosen one, unless something is typed at it.
  useEffect(() => {
    if (chosen && !typing && !('entry' in chosen) && profile && !profile.toRead.some(({ depthM }) => depthM === chosen.depthM)) {
      clear();
    }
  }, [chosen, typing, profile, clear]);
  useEffect(() => {
    if (profile && !profile.toRead.some(({ depthM }) => depthM === wrote)) {
      setWrote(undefined);
    }
  }, [profile, wrote]);
  if (!profile) {
    return <p className="p-6 text-dim">This programme asks for no profile.</p>;
  }
  const target = chosen && !('entry' in chosen) ? chosen : profile.next;
  const to = after(sheet, 'profile');
  const closed = sheet.state === 'closed';

  async function writeLevel(why?: string): Promise<boolean> {
    // Read again, a level keeps its depth as it was written, whatever unit the reader sees it in.
    const depth = again?.depth ?? target?.depth;
    const body = depth ? bodyOf(held.typed, depth, profile as Profile) : null;
    if (!body) {
      setProblem(UNTYPED);
      return false;
    }
    try {
      await write({ visit: sheet.visit, kind: 'level', body, ...(again && { strikes: again.entry, why: why ?? 'read again' }) });
    } catch (error) {
      setProblem({ ...UNTYPED, code: 'level-refused', seen: (error as Error).message, why: '', act: '' });
      return false;
    }
    setProblem(undefined);
    setWrote(again ? undefined : target?.depthM);
    clear();
    return true;
  }

  const editor = {
    turn,
    profile,
    target,
    again,
    draft: held.typed,
    // From the first key on the level stays the one that was called.
    setDraft: (typed: Typed) => {
      setProblem(undefined);
      const level = chosen ?? (target?.depthM === wrote ? undefined : target);
      setHeld({ ...(level && { level }), typed });
    },
    problem: said || !problem ? '' : [problem.seen, problem.why, problem.act].join(' ').trim(),
    onWrite: writeLevel,
  };
  const found = sheet.findings.filter(({ beside, code }) => beside === 'profile' && code !== 'profile-add-level');
  const done = sheet.steps.some(({ name, state }) => name === 'profile' && state === 'done');
  const stopped = found.some((finding) => finding.level === 'stop' && finding.kept == null);
  return (
    <>
      {!boat && <h2 className="text-2xl">Profile, going {target?.up ? 'up again' : 'down'}</h2>}
      <MeterStrip sheet={sheet} profile={profile} gear={station.context.gear ?? []} onDone={() => setTurn(turn + 1)} />
      {!closed && instruments && hearing && (
        <LiveSonde
          sheet={sheet}
          station={station}
          profile={profile}
          target={target}
          simulated={instruments.simulated}
          onWrite={async (body) => {
            await write({ visit: sheet.visit, kind: 'level', body });
            clear();
          }}
          onEnd={() => setHearing(false)}
        />
      )}
      {boat && !closed && !hearing && (target || again) && <LevelKeys {...editor} onCancel={chosen && clear} />}
      <LevelTable
        {...editor}
        closed={closed}
        writing={!closed && !boat && !hearing}
        onChoose={choose}
        onCancel={clear}
        onStrike={async (level, why) => {
          await write({ visit: sheet.visit, kind: 'strike', body: {}, strikes: level.entry, why });
        }}
      />
      {!closed && !hearing && (
        <div className="mt-3 flex flex-wrap gap-2">
          {instruments?.sonde && (
            <button type="button" className="act" onClick={() => setHearing(true)}>
              Live from the sonde
            </button>
          )}
          <LoggedCast sheet={sheet} profile={profile} />
        </div>
      )}
      {profile.casts.map((cast) => (
        <WrittenMark
          key={cast.entry}
          visit={sheet.visit}
          entry={cast.entry}
          label="Logged cast"
          text={`${cast.levels} levels`}
          note={cast.text}
        />
      ))}
      <Findings sheet={sheet} findings={found} />
      <ProfileFigures profile={profile} />
      {!closed && done && (
        <NextButton waits={profile.toRead.length > 0} onClick={() => onStep(to)}>
          {onTo(sheet, to)}
        </NextButton>
      )}
      {!closed && !done && !stopped && profile.levels.length > 1 && (
        <button type="button" className="act mt-5" onClick={() => onStep(to)}>
          Leave it here, {onTo(sheet, to).toLowerCase()}
        </button>
      )}
    </>
  );
}

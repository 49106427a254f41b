import { useEffect, useState } from 'react';
import type { Finding, Schemas } from '../api/client';
import { write } from '../field/entries';
import { LiveSonde } from '../instruments/LiveSonde';
import { useInstruments } from '../instruments/useInstrument';
import { useDensity } from '../ui/appearance';
import { NextButton } from '../ui/NextButton';
import { FindingsBeside } from '../water/findings';
import { after, onTo } from '../water/steps';
import type { StepProps } from '../water/VisitPage';
import { WrittenMark } from '../water/WrittenMark';
import { bodyOf, type Level, NOTHING, type Profile, type Typed, typedOf } from './columns';
import { useDraft } from './draft';
import { LevelKeys } from './LevelKeys';
import { LevelTable } from './LevelTable';
import { LoggedCast } from './LoggedCast';
import { MeterStrip } from './MeterStrip';
import { ProfileFigures } from './ProfileFigures';
import { repairsFor } from './rereads';

/** Temperature and oxygen from the surface down: one level at a time on the boat, the whole table at the desk. */
export function ProfileStep({ sheet, station, onStep }: StepProps) {
  const { profile } = sheet;
  const boat = useDensity() === 'boat';
  const [chosen, setChosen] = useState<Schemas['LevelToRead'] | Level>();
  const [draft, setDraft, clear] = useDraft<Typed>(`level ${sheet.visit}`, NOTHING);
  const [problem, setProblem] = useState('');
  const instruments = useInstruments();
  const [hearing, setHearing] = useState(false);
  // Counts up when the keyboard should go back to the row that is being typed.
  const [turn, setTurn] = useState(0);
  const again = chosen && 'entry' in chosen ? chosen : undefined;
  // A level that has been read meanwhile is no longer the chosen one.
  useEffect(() => {
    if (chosen && !('entry' in chosen) && profile && !profile.toRead.some((level) => level.depthM === chosen.depthM)) {
      setChosen(undefined);
    }
  }, [chosen, profile]);
  if (!profile) {
    return <p className="p-6 text-dim">This programme asks for no profile.</p>;
  }
  const target = chosen && !('entry' in chosen) ? chosen : profile.next;
  const to = after(sheet, 'profile');
  const closed = sheet.state === 'closed';

  async function writeLevel(typed: Typed, why?: string): Promise<boolean> {
    // Read again, a level keeps its depth as it was written, whatever unit the reader sees it in.
    const depth = again?.depth ?? target?.depth;
    const body = depth ? bodyOf(typed, depth, profile as Profile) : null;
    if (!body) {
      setProblem('Nothing is written at this level yet. Type what the display shows.');
      return false;
    }
    try {
      await write({ visit: sheet.visit, kind: 'level', body, ...(again && { strikes: again.entry, why: why ?? 'read again' }) });
    } catch (error) {
      setProblem((error as Error).message);
      return false;
    }
    setProblem('');
    clear();
    setChosen(undefined);
    return true;
  }

  const editor = { turn, profile, target, again, draft, setDraft, problem, onWrite: writeLevel };
  const choose = (level: Schemas['LevelToRead'] | Level) => {
    setChosen(level);
    setDraft('entry' in level ? typedOf(level) : NOTHING);
  };
  const repairs = (finding: Finding) => repairsFor(finding, sheet.visit, profile, choose);
  // What breaks is asked for as a level, not said twice.
  const shown = (which: (finding: Finding) => boolean) => ({
    ...sheet,
    findings: sheet.findings.filter((finding) => finding.code !== 'profile-add-level' && which(finding)),
  });
  return (
    <>
      {!boat && <h2 className="text-2xl">Profile, going down</h2>}
      <MeterStrip sheet={sheet} profile={profile} gear={station.context.gear ?? []} onDone={() => setTurn(turn + 1)} />
      <FindingsBeside
        sheet={shown((finding) => finding.level === 'stop' && finding.kept == null)}
        beside="profile"
        repairs={repairs}
      />
      {!closed && !hearing && (
        <div className="mt-2 flex flex-wrap gap-2">
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
      {!closed && instruments && hearing && (
        <LiveSonde
          sheet={sheet}
          station={station}
          profile={profile}
          target={target}
          simulated={instruments.simulated}
          onWrite={async (body) => {
            await write({ visit: sheet.visit, kind: 'level', body });
            setChosen(undefined);
          }}
          onEnd={() => setHearing(false)}
        />
      )}
      {boat && !closed && !hearing && (target || again) && (
        <LevelKeys {...editor} onCancel={again && (() => setChosen(undefined))} />
      )}
      <LevelTable
        {...editor}
        closed={closed}
        writing={!closed && !boat && !hearing}
        onChoose={choose}
        onCancel={() => {
          setChosen(undefined);
          clear();
        }}
        onStrike={(level, why) => write({ visit: sheet.visit, kind: 'strike', body: {}, strikes: level.entry, why })}
      />
      <FindingsBeside
        sheet={shown((finding) => finding.level !== 'stop' || finding.kept != null)}
        beside="profile"
        repairs={repairs}
      />
      <ProfileFigures profile={profile} />
      {!closed && profile.levels.length > 1 && profile.toRead.every((level) => level.wanted === 'break') && (
        <NextButton onClick={() => onStep(to)}>{onTo(to)}</NextButton>
      )}
      {!closed && profile.levels.length > 1 && profile.toRead.some((level) => level.wanted === 'planned') && (
        <button type="button" className="act mt-5" onClick={() => onStep(to)}>
          Leave it here, {onTo(to).toLowerCase()}
        </button>
      )}
    </>
  );
}

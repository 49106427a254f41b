import type { FieldSheet, Finding, Schemas } from '../../api/client';
import type { StepName } from '../steps';

type SheetEntry = Schemas['SheetEntry'];

const RANK = { stop: 0, check: 1, note: 2 };
// What is said of these stands at what they answer.
const ANSWERS = ['kept', 'strike', 'asked', 'answered', 'signed-off', 'step-order'];
// What is asked right below needs no words that it was not answered.
export const ASKED_BELOW = ['clarity-unconfirmed'];

/** One finding among those of a visit, whatever else of it is said anew. */
export function keyOf(finding: Finding): string {
  return finding.code + finding.why + finding.about.join();
}

export const isOpen = (finding: Finding): boolean => finding.kept == null;

/** Findings in the order in which they want an answer: stops first. */
export function byRank(a: Finding, b: Finding): number {
  return RANK[a.level] - RANK[b.level];
}

/** What was written last on a device; ids are made in the order of writing. */
export function newestOf(sheet: FieldSheet, device: string): SheetEntry | undefined {
  return sheet.entries
    .filter((entry) => entry.device === device && !entry.struck && !ANSWERS.includes(entry.kind))
    .reduce<SheetEntry | undefined>((last, entry) => (last && last.id > entry.id ? last : entry), undefined);
}

/**
 * The worst open thing: about what was just written, or a stop of the step that is shown; of the same rank what was just written
 * comes first.
 */
export function worstNow(sheet: FieldSheet, step: StepName, newest: SheetEntry | undefined): Finding | undefined {
  const open = sheet.findings.filter((finding) => isOpen(finding) && !ASKED_BELOW.includes(finding.code));
  const about = open.filter((finding) => newest && finding.about.includes(newest.id));
  const here = open.filter((finding) => finding.level === 'stop' && finding.step === step);
  return [...about, ...here].toSorted(byRank)[0];
}

/** The worst open level about one entry. */
export function openOn(findings: readonly Finding[], entry: string): 'stop' | 'check' | undefined {
  const levels = findings.filter((finding) => isOpen(finding) && finding.about.includes(entry)).map(({ level }) => level);
  return levels.includes('stop') ? 'stop' : levels.includes('check') ? 'check' : undefined;
}

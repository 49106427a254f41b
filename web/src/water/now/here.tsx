import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react';
import type { FieldSheet, Finding, Schemas } from '../../api/client';
import { deviceName } from '../../field/device';
import { SaidContext } from '../../ui/said';
import type { StepName } from '../steps';
import { isOpen, keyOf, newestOf, openOn, worstNow } from './worst';

/** Something that a finding's repair asks of a step: to take up a level, a reading or a bottle. */
export interface Asked {
  what: 'level' | 'reading' | 'bottle' | 'meter';
  /** The entry, or the depth in metres of a level that is still to be read. */
  of?: string;
}

/** What the parts of a visit's page share: what is said now, and what is asked of a step. */
export interface Here {
  sheet: FieldSheet;
  onStep: (step: StepName | undefined) => void;
  /** What this device wrote last. */
  newest: Schemas['SheetEntry'] | undefined;
  /** The finding that is said above the bar; the page's own lists leave it out meanwhile. */
  inBar: Finding | undefined;
  /** The key of a finding that is unfolded there, and stays until it is folded up or mended. */
  held: string | undefined;
  hold: (key: string | undefined) => void;
  /** What is wrong with something that is typed and not yet written. */
  said: Finding | undefined;
  asked: Asked | undefined;
  ask: (asked: Asked | undefined) => void;
}

const Context = createContext<Here | undefined>(undefined);

/** What the parts of a visit's page share; nothing elsewhere. */
export const useHere = (): Here | undefined => useContext(Context);

export function HereProvider({
  sheet,
  step,
  onStep,
  children,
}: {
  sheet: FieldSheet;
  /** Nothing where the page has no bar. */
  step: StepName | undefined;
  onStep: (step: StepName | undefined) => void;
  children: ReactNode;
}) {
  const [device, setDevice] = useState('');
  const [said, setSaid] = useState<Finding>();
  const [held, hold] = useState<string>();
  const [asked, ask] = useState<Asked>();
  useEffect(() => {
    void deviceName().then(setDevice);
  }, []);
  const newest = useMemo(() => newestOf(sheet, device), [sheet, device]);
  const inBar = useMemo(
    () =>
      step && !said
        ? (sheet.findings.find((finding) => isOpen(finding) && keyOf(finding) === held) ?? worstNow(sheet, step, newest))
        : undefined,
    [sheet, step, newest, said, held],
  );
  return (
    <Context value={{ sheet, onStep, newest, inBar, held, hold, said, asked, ask }}>
      <SaidContext value={step ? setSaid : undefined}>{children}</SaidContext>
    </Context>
  );
}

/** The worst open level about an entry of the visit that is shown. */
export function useOpenOn(entry: string): 'stop' | 'check' | undefined {
  const findings = useHere()?.sheet.findings;
  return findings && openOn(findings, entry);
}

/** Takes up what a repair asked for, once; what another part is asked for is left alone. */
export function useAsked(what: Asked['what'], take: (of: string | undefined) => boolean): void {
  const here = useHere();
  useEffect(() => {
    if (here?.asked?.what === what && take(here.asked.of)) {
      here.ask(undefined);
    }
  });
}

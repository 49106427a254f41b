import { useLiveQuery } from 'dexie-react-hooks';
import type { LengthUnit, OperationRequest, ReaderUnit, Schemas, StationRecord } from '../api/client';
import { store } from '../field/store';
import { useComputed } from '../field/useComputed';
import { pendingVisits, withLocal } from '../field/visits';

export type Trend = Schemas['TrendResult'];
/** What is measured, by its code. */
export type Subject = string;
type Ask = OperationRequest<'trend'>;

/** The unit in which depths of a station are read. */
export function nativeOf(record: StationRecord): LengthUnit {
  return record.context.lines.find((line) => line.code === record.line)?.unit ?? 'm';
}

/** What of a station is looked at first; a record that an earlier build kept does not say. */
export function firstOf(record: StationRecord): Subject {
  return record.first ?? 'clarity';
}

/** What of a station's record is followed; clarity with what is on this device only. */
export function seriesOf(record: StationRecord, subject: Subject, clarity: Schemas['ClarityPoint'][]) {
  const known = (record.series ?? []).find((series) => series.subject === subject);
  if (subject !== 'clarity') {
    return known;
  }
  return {
    subject,
    name: known?.name ?? 'clarity',
    window: record.context.programme.summary,
    joins: known?.joins ?? [],
    points: clarity.map(({ visit, date, clarityM, censored, usable, signedOff, method, text }) => ({
      visit,
      day: date,
      value: clarityM,
      censored: censored ? ('above' as const) : ('none' as const),
      usable,
      signedOff,
      method,
      text,
    })),
  };
}

/** A station's clarities as this device knows them, and which visits wait here. */
export function useClarities(code: string, record: StationRecord) {
  const visits = useLiveQuery(() => store.visits.where('station').equals(code).toArray(), [code]);
  const pending = useLiveQuery(pendingVisits, []);
  return { points: visits && pending && withLocal(record.context.history, visits, pending), pending };
}

type Question = Pick<Ask, 'subject' | 'points' | 'window' | 'joins' | 'running' | 'described'>;

/** What Core is asked of a series; its name is for people. */
function question({ subject, points, window, joins, running, described }: Question) {
  return { subject, points, window, joins, ...(running && { running }), ...(described && { described }) };
}

/** Asks Core what a series says; again when anything of the question changes. */
export function useTrend(
  ask: Question | undefined,
  options: {
    native: LengthUnit;
    reader: ReaderUnit;
    provisional?: boolean;
    test?: Schemas['TrendTest'];
    askedPerDecade?: number;
    yearsOnly?: boolean;
    limits?: { above: boolean; value: number; name: string; source: string }[];
  },
) {
  const { data: trend, error = '' } = useComputed('trend', ask && ({ ...question(ask), ...options } as Ask));
  return { trend, problem: error };
}

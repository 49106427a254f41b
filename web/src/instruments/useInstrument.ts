import { useEffect, useRef, useState } from 'react';
import type { FieldSheet, Schemas, StationRecord } from '../api/client';
import { nowLocal } from '../field/clock';
import { callDoor } from '../field/core';
import { type BoatLines, type BoatPlace, type Instrument, knownInstruments, type LineSource, listen } from './source';

/** A reading with a time: the sonde's own clock, or when its line came. */
export type TimedReading = Schemas['SondeReading'] & { seconds: number };

/** Readings older than this are of no more use, s. */
const KEPT_S = 60;
const MOST_KEPT = 400;
/** After this long without a line the cable is looked at. */
const SILENT_MS = 6000;

export interface Live {
  simulated: boolean;
  readings: TimedReading[];
  fix: Schemas['NmeaFix'] | undefined;
  depth: Schemas['WrittenLength'] | undefined;
  boat: BoatLines | undefined;
  /** Why lines were left out, the last reason. */
  refused: string;
  problem: string;
  command(command: Schemas['BoatCommand']): void;
}

const NOTHING = {
  readings: [] as TimedReading[],
  fix: undefined as Schemas['NmeaFix'] | undefined,
  depth: undefined as Schemas['WrittenLength'] | undefined,
  boat: undefined as BoatLines | undefined,
  refused: '',
  problem: '',
};

// The boat does not leave because a depth was typed: it lies where its first instrument was switched on.
const places = new Map<string, BoatPlace>();

function placeOf(sheet: FieldSheet, { context }: StationRecord): BoatPlace {
  const known = places.get(sheet.visit);
  const { code, latitudeDeg, longitudeDeg } = context.station;
  const place = known ?? {
    station: code,
    latitudeDeg,
    longitudeDeg,
    depthM: sheet.bottomM,
    kind: context.water?.kind ?? 'lake',
    day: nowLocal().slice(0, 10),
  };
  places.set(sheet.visit, place);
  return place;
}

/** The boat's instruments that this device knows of; null until that is known, or where there are none. */
export function useInstruments(): Schemas['Instruments'] | null {
  const [known, setKnown] = useState<Schemas['Instruments'] | null>(null);
  useEffect(() => {
    void knownInstruments().then(setKnown);
  }, []);
  return known;
}

/** Hears an instrument as long as the page that asks for it stands. */
export function useInstrument(instrument: Instrument, sheet: FieldSheet, station: StationRecord, simulated: boolean): Live {
  const [live, setLive] = useState(NOTHING);
  const source = useRef<LineSource>(undefined);
  const place = placeOf(sheet, station);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the place of a visit never changes
  useEffect(() => {
    let anew = true;
    let over = false;
    let quiet: ReturnType<typeof setTimeout>;
    const wait = () => {
      clearTimeout(quiet);
      quiet = setTimeout(
        () =>
          setLive((now) => ({
            ...now,
            problem: 'Nothing comes from it any more. Look at the cable and the battery; what was read is kept.',
          })),
        SILENT_MS,
      );
    };
    async function read(lines: string[]) {
      if (lines.length === 0) {
        return;
      }
      wait();
      const name = instrument === 'receiver' ? 'receiver' : anew ? 'sonde-anew' : 'sonde';
      anew = false;
      const read: Schemas['InstrumentLines'] = JSON.parse(await callDoor('Lines', name, lines.join('\n')));
      const cameAt = performance.now() / 1000;
      const timed = read.readings.map((reading) => ({ ...reading, seconds: reading.seconds ?? cameAt }));
      if (!over) {
        setLive((now) => ({
          ...now,
          problem: '',
          readings: lately([...now.readings, ...timed]),
          fix: read.fix ?? now.fix,
          depth: read.depth ?? now.depth,
          refused: read.refused.at(-1) ?? now.refused,
        }));
      }
    }
    setLive(NOTHING);
    wait();
    source.current = listen(instrument, place, simulated, {
      onLines: (lines) => void read(lines),
      onBoat: (boat) => setLive((now) => ({ ...now, boat })),
      onProblem: (problem) => setLive((now) => ({ ...now, problem })),
    });
    return () => {
      over = true;
      clearTimeout(quiet);
      source.current?.stop();
    };
  }, [instrument, place.station, simulated]);
  return { ...live, simulated, command: (command) => void source.current?.command(command).catch(() => {}) };
}

/** Of the last minute; at midnight a clock begins again, and so does this. */
function lately(readings: TimedReading[]): TimedReading[] {
  const now = readings.at(-1)?.seconds ?? 0;
  return readings.slice(-MOST_KEPT).filter(({ seconds }) => now >= seconds && now - seconds <= KEPT_S);
}

import { useState } from 'react';
import type { FieldSheet, Schemas, StationRecord } from '../api/client';
import { write } from '../field/entries';
import { whereWeAre } from '../field/fix';
import { FromReceiver } from '../instruments/FromReceiver';
import { Simulated } from '../instruments/Simulated';
import { useInstruments } from '../instruments/useInstrument';
import { ChoiceBox } from '../ui/ChoiceBox';
import { Photo } from '../ui/Photo';
import { Problem } from '../ui/Problem';

/** Where the boat is beside the station: by the device, typed, or by landmarks in line. */
export function PositionPart({ sheet, station }: { sheet: FieldSheet; station: StationRecord }) {
  const { arrival } = sheet;
  const [problem, setProblem] = useState('');
  const [asking, setAsking] = useState(false);
  const [typing, setTyping] = useState(false);
  const instruments = useInstruments();
  const [hearing, setHearing] = useState(false);
  const closed = sheet.state === 'closed';
  const give = (body: Schemas['FixBody']) => write({ visit: sheet.visit, kind: 'fix', body });

  async function ask() {
    setProblem('');
    setAsking(true);
    try {
      const { latitude, longitude, accuracy } = await whereWeAre(5_000);
      await give({ latitudeDeg: latitude, longitudeDeg: longitude, accuracyM: Math.round(accuracy), source: 'device' });
    } catch (error) {
      setProblem(`${(error as Error).message} Use the landmarks, or type the position of your receiver.`);
    } finally {
      setAsking(false);
    }
  }

  return (
    <section aria-label="Position" className="mt-3 border-rule border-t pt-3">
      {arrival.anchored ? (
        <p>
          <b className="text-lg">{arrival.anchored.text}</b>
          {arrival.latest && <span className="text-dim"> · now {arrival.latest.text}</span>}
          {arrival.anchored.source === 'simulated' && <Simulated />}
        </p>
      ) : (
        <p className="text-dim">
          The station is at{' '}
          <span className="num">
            {station.context.station.latitudeDeg}, {station.context.station.longitudeDeg}
          </span>
          .
        </p>
      )}
      {!closed && (
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="act" disabled={asking || !('geolocation' in navigator)} onClick={() => void ask()}>
            {asking ? 'Waiting for a fix…' : arrival.anchored ? 'Where are we now?' : 'Take a fix'}
          </button>
          <button type="button" className="act-quiet" aria-expanded={typing} onClick={() => setTyping(!typing)}>
            type it
          </button>
          {instruments?.receiver && (
            <button type="button" className="act-quiet" aria-expanded={hearing} onClick={() => setHearing(!hearing)}>
              from the boat’s receiver
            </button>
          )}
        </div>
      )}
      {hearing && instruments && !closed && (
        <FromReceiver sheet={sheet} station={station} simulated={instruments.simulated}>
          {({ fix }) =>
            fix ? (
              <>
                <p className="num mt-1 text-lg">
                  {fix.latitudeDeg.toFixed(5)}, {fix.longitudeDeg.toFixed(5)}
                  {fix.accuracyM != null && <span className="text-base text-dim"> good to {Math.round(fix.accuracyM)} m</span>}
                </p>
                <button
                  type="button"
                  className="act act-next mt-2"
                  onClick={async () => {
                    await give({
                      latitudeDeg: fix.latitudeDeg,
                      longitudeDeg: fix.longitudeDeg,
                      source: instruments.simulated ? 'simulated' : 'receiver',
                      ...(fix.accuracyM != null && { accuracyM: Math.round(fix.accuracyM) }),
                    });
                    setHearing(false);
                  }}
                >
                  Write this fix down
                </button>
              </>
            ) : (
              <p className="mt-1 text-dim">Waiting for a fix…</p>
            )
          }
        </FromReceiver>
      )}
      {typing && (
        <TypedFix
          onGiven={async (latitudeDeg, longitudeDeg) => {
            await give({ latitudeDeg, longitudeDeg, source: 'typed' });
            setTyping(false);
          }}
        />
      )}
      <Problem words={problem} />
      {(station.context.station.transits ?? []).map(({ near, far }, i) => (
        <div key={near.name + far.name} className="flex flex-wrap items-end gap-3">
          <ChoiceBox
            box="landmarks.inLine"
            label={`${near.name} and ${far.name}`}
            value={arrival.landmarks.find(({ transit }) => transit === i)?.inLine}
            onChoose={(inLine) => void write({ visit: sheet.visit, kind: 'landmarks', body: { transit: i, inLine } })}
            disabled={closed}
          />
          {[near, far].map(
            (mark) =>
              mark.photo && <Photo key={mark.photo} id={mark.photo} words={mark.name} className="h-20 w-28 object-cover" />,
          )}
        </div>
      ))}
    </section>
  );
}

function TypedFix({ onGiven }: { onGiven: (latitude: number, longitude: number) => void }) {
  const [written, setWritten] = useState('');
  const [latitude, longitude] = written
    .trim()
    .split(/[\s,;]+/)
    .map(Number);
  const understood = latitude !== undefined && longitude !== undefined && Number.isFinite(latitude) && Number.isFinite(longitude);
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (understood) {
          onGiven(latitude, longitude);
        }
      }}
    >
      <label className="min-w-0 flex-1">
        <span className="text-sm">Latitude and longitude in decimal degrees, west and south with a minus</span>
        <input
          className="field num"
          value={written}
          maxLength={60}
          autoComplete="off"
          placeholder="51.9241 -11.4376"
          onChange={(event) => setWritten(event.target.value)}
        />
      </label>
      <button type="submit" className="act" disabled={!understood}>
        Write it down
      </button>
    </form>
  );
}

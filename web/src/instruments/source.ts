import { api, type Schemas } from '../api/client';
import { addressOf } from '../api/home';
import { callDoor } from '../field/core';
import { currentReach } from '../field/delivery';
import { readSetting } from '../field/store';

export type Instrument = 'receiver' | 'sonde';
export type BoatPlace = NonNullable<Schemas['BoatPlace']>;
export type BoatLines = Schemas['BoatLines'];

const TICK_MS = 1000;
const UNREACHED = 'The instruments are heard through the server, and it cannot be reached. Type what the display shows.';

/** What a source tells whoever listens. */
export interface Heard {
  onLines(lines: string[]): void;
  /** How the simulated boat stands; never for real instruments. */
  onBoat(boat: BoatLines): void;
  onProblem(words: string): void;
}

/** Where lines come from: through the server from the boat's network, or from the stand-in on this device. */
export interface LineSource {
  stop(): void;
  /** Sets the simulated boat; real instruments are not touched. */
  command(command: Schemas['BoatCommand']): Promise<void>;
}

/** Which instruments this device knows of, from when it last spoke to the server. */
export function knownInstruments(): Promise<Schemas['Instruments'] | null> {
  return readSetting<Schemas['Instruments'] | null>('instruments', null);
}

/** Listens to an instrument. Simulated ones go on on the device itself where the server cannot be reached. */
export function listen(instrument: Instrument, place: BoatPlace, simulated: boolean, heard: Heard): LineSource {
  let source = currentReach().server
    ? ofServer(instrument, place, simulated, heard, () => {
        if (simulated) {
          source = ofDevice(instrument, place, heard);
        } else {
          heard.onProblem(UNREACHED);
        }
      })
    : simulated
      ? ofDevice(instrument, place, heard)
      : silent(heard);
  return {
    stop: () => source.stop(),
    command: (command) => source.command(command),
  };
}

function silent(heard: Heard): LineSource {
  heard.onProblem(UNREACHED);
  return { stop() {}, async command() {} };
}

function ofServer(instrument: Instrument, place: BoatPlace, simulated: boolean, heard: Heard, lost: () => void): LineSource {
  const stream = new EventSource(addressOf(`/api/instruments/${instrument}/lines`));
  let over = false;
  const source: LineSource = {
    stop() {
      over = true;
      stream.close();
    },
    async command(command) {
      if (simulated) {
        const { data } = await api.POST('/api/instruments/simulated', { body: command });
        if (data && !over) {
          heard.onBoat(data);
        }
      }
    },
  };
  stream.addEventListener('message', (event) => heard.onLines([event.data]));
  stream.addEventListener('unreached', (event) => {
    source.stop();
    heard.onProblem(`The instrument does not answer (${(event as MessageEvent<string>).data}). Is it on, and on this network?`);
  });
  stream.addEventListener('error', () => {
    if (!over) {
      source.stop();
      lost();
    }
  });
  source.command({ place }).catch(() => {});
  return source;
}

function ofDevice(instrument: Instrument, place: BoatPlace, heard: Heard): LineSource {
  let pace = 1;
  async function run(command: Schemas['BoatCommand']): Promise<void> {
    const boat: BoatLines = JSON.parse(await callDoor('Simulate', JSON.stringify(command)));
    pace = boat.pace;
    heard.onBoat(boat);
    heard.onLines(instrument === 'receiver' ? boat.receiver : boat.sonde);
  }
  void run({ place });
  const timer = setInterval(() => void run({ seconds: pace }), TICK_MS);
  return {
    stop: () => clearInterval(timer),
    command: (command) => run({ ...command, seconds: 0 }),
  };
}

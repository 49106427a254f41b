import type { FieldSheet, OperationName, OperationRequest, OperationResponse } from '../api/client';
import type { DoorCall, Fold } from './core.worker';
import { share } from './share';

interface Waiting {
  resolve(json: string): void;
  reject(error: Error): void;
}

let worker: Worker | undefined;
let calls = 0;
const waiting = new Map<number, Waiting>();

interface Answer {
  call: number;
  response?: string;
  error?: string;
  /** The runtime could not be fetched; another worker may try again. */
  unopened?: true;
}

function started(): Worker {
  if (!worker) {
    const made = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
    made.addEventListener('message', (event: MessageEvent<Answer>) => {
      const { call, response, error, unopened } = event.data;
      if (unopened) {
        giveUp(made);
        return;
      }
      const caller = waiting.get(call);
      waiting.delete(call);
      if (response === undefined) {
        caller?.reject(new Error(error));
      } else {
        caller?.resolve(response);
      }
    });
    made.addEventListener('error', () => giveUp(made));
    worker = made;
  }
  return worker;
}

/** Ends a worker that could not begin; the next call starts another. */
function giveUp(failed: Worker): void {
  if (worker !== failed) {
    return;
  }
  worker = undefined;
  failed.terminate();
  for (const caller of waiting.values()) {
    caller.reject(
      new Error(
        'The calculation is not on this device yet, and there is no signal to fetch it. Open Upper Still once where there is one.',
      ),
    );
  }
  waiting.clear();
}

/** Runs an operation of Core on this device. */
export async function compute<Name extends OperationName>(
  operation: Name,
  request: OperationRequest<Name>,
): Promise<OperationResponse<Name>> {
  return JSON.parse(await asked({ operation, request: JSON.stringify(request) }));
}

/** A number that somebody typed lies where none can mean it. */
export class NumberOutside extends Error {
  /** The name of the number in the request, by its last part. */
  readonly key: string;
  /** What it is and what it may be, to follow its name. */
  readonly words: string;

  constructor(at: string, words: string) {
    super(`“${at}” ${words}.`);
    this.key = at.replace(/^.*\./, '');
    this.words = words;
  }
}

/** Runs an operation on what somebody typed: a number outside its range is refused by name. */
export async function ask<Name extends OperationName>(
  operation: Name,
  request: OperationRequest<Name>,
): Promise<OperationResponse<Name>> {
  const outside = await callDoor('Outside', operation, JSON.stringify(request));
  if (outside) {
    const { at, words } = JSON.parse(outside) as { at: string; words: string };
    throw new NumberOutside(at, words);
  }
  return await compute(operation, request);
}

let lastFold: { key: string; sheet: Promise<FieldSheet> } | undefined;

/** Folds a visit on this device: the operation fold-visit, without reading again what was read for the fold before. */
export async function foldVisit(visit: string, request: OperationRequest<'fold-visit'>): Promise<FieldSheet> {
  const fold: Fold = {
    visit,
    context: JSON.stringify(request.context),
    entries: request.entries.map((entry) => [entry.id, JSON.stringify(entry)]),
    reader: request.reader ?? 'as-read',
  };
  // An entry that was delivered is still the same entry: nothing is worked out again.
  const key = JSON.stringify(fold);
  if (lastFold?.key !== key) {
    const before = lastFold?.sheet.catch(() => undefined);
    const sheet = asked({ fold }).then(async (json) => share(await before, JSON.parse(json) as FieldSheet));
    lastFold = { key, sheet };
    sheet.catch(() => {
      lastFold = undefined;
    });
  }
  return lastFold.sheet;
}

/** Calls the door of this device by name: instruments and logged casts, which Core does not know. Answers with JSON, or nothing. */
export function callDoor<Name extends DoorCall['name']>(
  name: Name,
  ...args: Extract<DoorCall, { name: Name }>['args']
): Promise<string> {
  return asked({ door: { name, args } as DoorCall });
}

function asked(message: { operation: string; request: string } | { fold: Fold } | { door: DoorCall }): Promise<string> {
  const running = started();
  const call = ++calls;
  return new Promise<string>((resolve, reject) => {
    waiting.set(call, { resolve, reject });
    running.postMessage({ call, ...message });
  });
}

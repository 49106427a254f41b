import type { OperationName, OperationRequest, OperationResponse } from '../api/client';

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
  const running = started();
  const call = ++calls;
  const json = await new Promise<string>((resolve, reject) => {
    waiting.set(call, { resolve, reject });
    running.postMessage({ call, operation, request: JSON.stringify(request) });
  });
  return JSON.parse(json);
}

import type { OperationName, OperationRequest, OperationResponse } from '../api/client';

interface Waiting {
  resolve(json: string): void;
  reject(error: Error): void;
}

let worker: Worker | undefined;
let calls = 0;
const waiting = new Map<number, Waiting>();

function started(): Worker {
  if (!worker) {
    worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', (event: MessageEvent<{ call: number; response?: string; error?: string }>) => {
      const { call, response, error } = event.data;
      const caller = waiting.get(call);
      waiting.delete(call);
      if (response === undefined) {
        caller?.reject(new Error(error));
      } else {
        caller?.resolve(response);
      }
    });
    worker.addEventListener('error', () => {
      for (const caller of waiting.values()) {
        caller.reject(
          new Error('The calculation could not be started on this device. Reload the page once while there is a signal.'),
        );
      }
      waiting.clear();
      worker = undefined;
    });
  }
  return worker;
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

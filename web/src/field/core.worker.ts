import { addressOf } from '../api/home';

/** Runs Core in WebAssembly, away from the page, so that typing never waits for it. */
interface Door {
  Invoke(operation: string, request: string): string;
  Outside(operation: string, request: string): string;
  Fold(context: string, changed: string, afresh: boolean, reader: string): string;
  Simulate(command: string): string;
  Lines(instrument: string, lines: string): string;
  CastLayoutOf(head: Uint8Array): string;
  CastBegin(request: string): void;
  CastPush(chunk: Uint8Array): void;
  CastFinish(): string;
}

/** A call of the door by its name, beside the operations of Core. */
export type DoorCall = { [Name in keyof Door]: { name: Name; args: Parameters<Door[Name]> } }[Exclude<
  keyof Door,
  'Invoke' | 'Fold'
>];

export interface Fold {
  visit: string;
  context: string;
  /** Ids and entries as JSON. */
  entries: [string, string][];
  reader: string;
}

type Asked = { call: number } & ({ operation: string; request: string } | { fold: Fold } | { door: DoorCall });

const door: Promise<Door> = (async () => {
  const address = addressOf('/core/_framework/dotnet.js');
  const { dotnet } = await import(/* @vite-ignore */ address);
  const runtime = await dotnet.create();
  const exports = await runtime.getAssemblyExports(runtime.getConfig().mainAssemblyName);
  return exports.UpperStill.Browser.Door as Door;
})();

// What Core has read already: of the next fold only the rest is handed in.
let last: { visit: string; context: string; entries: Map<string, string> } | undefined;

function fold(open: Door, { visit, context, entries, reader }: Fold): string {
  const known = last?.visit === visit ? last.entries : new Map<string, string>();
  const afresh =
    last?.visit !== visit || entries.length < known.size || [...known.keys()].some((id) => !entries.some(([e]) => e === id));
  const changed = afresh ? entries : entries.filter(([id, json]) => known.get(id) !== json);
  const same = last?.context === context;
  // Should it fail half way, the next fold begins afresh.
  last = undefined;
  const sheet = open.Fold(same ? '' : context, `[${changed.map(([, json]) => json).join()}]`, afresh, reader);
  last = { visit, context, entries: new Map(entries) };
  return sheet;
}

function answer(open: Door, asked: Asked): string {
  if ('fold' in asked) {
    return fold(open, asked.fold);
  }
  if ('door' in asked) {
    const { name, args } = asked.door;
    return (open[name] as (...given: unknown[]) => string | undefined)(...args) ?? '';
  }
  return open.Invoke(asked.operation, asked.request);
}

// Not self.onmessage: the runtime would take this worker for one of its own threads.
self.addEventListener('message', async (event: MessageEvent<Asked>) => {
  const asked = event.data;
  const { call } = asked;
  let open: Door;
  try {
    open = await door;
  } catch {
    self.postMessage({ unopened: true });
    return;
  }
  try {
    self.postMessage({ call, response: answer(open, asked) });
  } catch (error) {
    self.postMessage({ call, error: error instanceof Error ? error.message : String(error) });
  }
});

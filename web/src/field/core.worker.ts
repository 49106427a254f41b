/** Runs Core in WebAssembly, away from the page, so that typing never waits for it. */
interface Door {
  Invoke(operation: string, request: string): string;
}

const door: Promise<Door> = (async () => {
  const address = new URL('/core/_framework/dotnet.js', self.location.origin).href;
  const { dotnet } = await import(/* @vite-ignore */ address);
  const runtime = await dotnet.create();
  const exports = await runtime.getAssemblyExports(runtime.getConfig().mainAssemblyName);
  return exports.UpperStill.Browser.Door as Door;
})();

// Not self.onmessage: the runtime would take this worker for one of its own threads.
self.addEventListener('message', async (event: MessageEvent<{ call: number; operation: string; request: string }>) => {
  const { call, operation, request } = event.data;
  let open: Door;
  try {
    open = await door;
  } catch {
    self.postMessage({ unopened: true });
    return;
  }
  try {
    self.postMessage({ call, response: open.Invoke(operation, request) });
  } catch (error) {
    self.postMessage({ call, error: error instanceof Error ? error.message : String(error) });
  }
});

import { join } from 'node:path';
import { Worker as Thread } from 'node:worker_threads';
import { cleanup, configure } from '@testing-library/react';
import 'fake-indexeddb/auto';
import { afterEach } from 'vitest';

/** What a browser has and jsdom has not: the worker of the built application, cookies, sizes. */

// Hidden or not is for the eye, and the style sheet, which is not here.
configure({ defaultHidden: true, asyncUtilTimeout: 20_000 });

interface Begun {
  thread?: Thread;
  calls: number;
  /** Pages that have ended. */
  ended: number;
  callers: Map<number, (answer: object) => void>;
  cookies: Map<string, string>;
  plainFetch: typeof fetch;
  plainInterval: typeof setInterval;
}

// This file is read anew for each file of tests; what it began is not begun again.
const here = globalThis as { begun?: Begun };
here.begun ??= {
  calls: 0,
  ended: 0,
  callers: new Map(),
  cookies: new Map(),
  plainFetch: globalThis.fetch,
  plainInterval: globalThis.setInterval,
};
const begun = here.begun;

/** One thread for all pages: its core is read once, as by whoever stays on a page. Each page hears its own answers. */
class CoreWorker extends EventTarget {
  postMessage(message: { call: number }): void {
    begun.thread ??= new Thread(join(import.meta.dirname, 'coreThread.mjs')).on('message', (answer) => {
      begun.callers.get(answer.call)?.(answer);
      begun.callers.delete(answer.call);
    });
    const call = ++begun.calls;
    begun.callers.set(call, (answer) =>
      this.dispatchEvent(new MessageEvent('message', { data: { ...answer, call: message.call } })),
    );
    begun.thread.postMessage({ ...message, call });
  }

  terminate(): void {}
}

let gateway: { path: string; changes(body: string): string } | undefined;

/** Something between the page and the server that changes what is sent to an address, until the test ends. */
export function between(path: string, changes: (body: string) => string): void {
  gateway = { path, changes };
}

async function fetchWithCookies(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  let request = new Request(input instanceof Request ? input : new URL(input, location.href), init);
  if (gateway?.path === new URL(request.url).pathname) {
    request = new Request(request, { body: gateway.changes(await request.text()) });
  }
  const page = begun.ended;
  request.headers.set('cookie', [...begun.cookies].map((pair) => pair.join('=')).join('; '));
  const answer = await begun.plainFetch(request);
  for (const cookie of answer.headers.getSetCookie()) {
    const [, name = '', value = ''] = /^([^=]+)=([^;]*)/.exec(cookie) ?? [];
    begun.cookies.set(name, value);
  }
  return page === begun.ended ? answer : new Promise(() => {});
}

const intervals = new Set<ReturnType<typeof setInterval>>();

function intervalOfThePage(...given: Parameters<typeof setInterval>): ReturnType<typeof setInterval> {
  const interval = begun.plainInterval(...given);
  intervals.add(interval);
  return interval;
}

class NoSize {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

// There is no style sheet: to work one out for every name of every button takes longer than all the rest.
const style: Record<string, unknown> = { display: 'block', visibility: 'visible', pointerEvents: 'auto' };
style.getPropertyValue = (name: string) => style[name] ?? '';

Object.assign(globalThis, {
  getComputedStyle: () => style,
  Worker: CoreWorker,
  fetch: fetchWithCookies,
  setInterval: intervalOfThePage,
  ResizeObserver: NoSize,
  innerWidth: 1280,
  matchMedia: () => ({ matches: false, addEventListener() {}, removeEventListener() {} }),
});
window.getComputedStyle = globalThis.getComputedStyle;
Element.prototype.scrollIntoView ??= () => {};
Element.prototype.hasPointerCapture ??= () => false;

/** Ends the page as a browser does: nothing of it runs on. */
afterEach(() => {
  cleanup();
  // What the page still waits for, the core's answers and the server's, it does not hear: it would write into the next one's store.
  begun.ended++;
  begun.callers.clear();
  for (const interval of intervals) {
    clearInterval(interval);
  }
  intervals.clear();
  gateway = undefined;
});

// The worker of the built application in a thread of Node: there `self` is the port to whoever began it.
import { readdirSync } from 'node:fs';
import { parentPort } from 'node:worker_threads';

const assets = new URL('../../../artifacts/app/wwwroot/assets/', import.meta.url);
globalThis.self = {
  addEventListener: (_, listener) => parentPort.on('message', (data) => listener({ data })),
  postMessage: (data) => parentPort.postMessage(data),
};
await import(
  new URL(
    readdirSync(assets).find((name) => /^core\.worker-.*\.js$/.test(name)),
    assets,
  ).href
);

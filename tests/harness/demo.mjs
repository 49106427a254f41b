// Makes the demo's data once, for all that begin with a copy of it: node tests/harness/demo.mjs FOLDER; see DEMO_TEMPLATE.
import { rmSync } from 'node:fs';
import { Server } from './server.mjs';

const [folder] = process.argv.slice(2);
if (!folder) {
  throw new Error('Say into which folder.');
}
rmSync(folder, { recursive: true, force: true });
const server = new Server(14_000 + (process.pid % 1_000));
await server.start();
await server.kill();
server.keep(folder);
server.end();

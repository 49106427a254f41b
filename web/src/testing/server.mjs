import { Server } from '../../../tests/harness/server.mjs';

/** The published server with the demo, for the tests of screens. */
export default async function setup() {
  const server = new Server(Number(process.env.SCREENS_PORT));
  await server.start();
  return async () => {
    await server.kill();
    server.end();
  };
}

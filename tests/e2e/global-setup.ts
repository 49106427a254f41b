import { RealServer } from './server';

/** Makes the demo's database once; every test works on a copy of its own. */
export default async function setup(): Promise<() => Promise<void>> {
  const server = await RealServer.start({ template: undefined });
  await server.kill();
  process.env.E2E_TEMPLATE = server.folder;
  return () => server.end();
}

import { RealServer } from './server';

/** Makes the demo's database once, unless DEMO_TEMPLATE names one; every server begins with a copy of its own. */
export default async function setup(): Promise<(() => Promise<void>) | undefined> {
  if (process.env.DEMO_TEMPLATE) {
    return undefined;
  }
  const server = await RealServer.start({ template: undefined });
  await server.kill();
  process.env.DEMO_TEMPLATE = server.folder;
  return () => server.end();
}

import { visits } from './generated-visits';
import { expect, test } from './server';
import { signIn } from './session.mjs';

test('the server and the browser fold the same entries to the same bytes', async ({ page, request, server }) => {
  await signIn(request, server.address);
  const { context } = await server.get<{ context: unknown }>('/api/stations/HAR-1');
  const requests = visits(300, context).map((request) => JSON.stringify(request));
  const byServer: string[] = [];
  for (const body of requests) {
    const answer = await request.post(`${server.address}/api/core/fold-visit`, {
      headers: { 'content-type': 'application/json' },
      data: body,
    });
    expect(answer.status(), await answer.text()).toBe(200);
    byServer.push(await answer.text());
  }

  // The very files that the worker loads.
  await page.goto(server.address);
  const byBrowser = await page.evaluate(async (bodies) => {
    const { dotnet } = await import(new URL('/core/_framework/dotnet.js', location.origin).href);
    const runtime = await dotnet.create();
    const { Door } = (await runtime.getAssemblyExports(runtime.getConfig().mainAssemblyName)).UpperStill.Browser;
    return bodies.map((body) => Door.Invoke('fold-visit', body) as string);
  }, requests);

  expect(byBrowser).toEqual(byServer);
  // They are visits worth comparing: with clarities, findings and struck entries among them.
  const sheets = byServer.map((text) => JSON.parse(text));
  expect(sheets.filter((sheet) => sheet.clarity.result.clarityM != null).length).toBeGreaterThan(60);
  expect(sheets.filter((sheet) => sheet.entries.some((entry: { struck: boolean }) => entry.struck)).length).toBeGreaterThan(60);
  expect(
    new Set(sheets.flatMap((sheet) => sheet.findings.map((finding: { code: string }) => finding.code))).size,
  ).toBeGreaterThan(30);
  expect(
    sheets.filter((sheet) =>
      sheet.profile?.figures.some((figure: { key: string; depthM?: number }) => figure.key === 'thermocline' && figure.depthM),
    ).length,
  ).toBeGreaterThan(20);
});

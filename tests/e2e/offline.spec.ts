import { Person } from './person';
import { expect, test } from './server';

test.use({ serviceWorkers: 'allow' });

interface Sent {
  id: string;
  kind: string;
}

test('with the network cut and the server stopped the whole visit works, and is delivered once', { tag: '@boat' }, async ({
  page,
  context,
  server,
}) => {
  const person = new Person(page, server.address);
  await person.opens();
  await person.waitsForOffline();

  await server.kill();
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Harrowmere, Deep Hole' })).toBeVisible();

  await person.starts('Harrowmere, Deep Hole');
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '12 9');
  await expect(page.getByRole('status')).toContainText('3 on this device only');

  // The phone is put away and taken out again: nothing is lost.
  await page.reload();
  await person.answers('Where did you see it again?', '13 3');
  await expect(page.getByText('Seen again at 13 ft 3 in, lost at 12 ft 9 in.')).toBeVisible();
  await person.strikes('13 ft 3 in', 'misread');
  await person.answers('Where did you see it again?', '11 3');
  await expect(person.figure('Clarity')).toContainText('12 ft 0 in');
  await expect(person.figure('Mark for the composite')).toContainText('24 ft 0 in');
  await page.getByRole('button', { name: 'On to leaving' }).click();
  const visit = person.visit();
  await person.ends();
  await expect(page.getByRole('status')).toContainText('7 on this device only');

  // The new point hangs in the record, hollow because it is on this device only.
  await page.getByRole('link', { name: 'See it in the record' }).click();
  await expect(page.getByRole('heading', { name: 'Clear to 12 ft 0 in at Deep Hole on 12 August 2026.' })).toBeVisible();
  await expect(page.locator(`[data-visit="${visit}"] circle`)).toHaveAttribute('fill', 'var(--sheet)');
  await expect(page.getByText('○ On this device only, until there is a signal.')).toBeVisible();

  await server.start();
  await context.setOffline(false);
  await expect(page.getByRole('status')).toHaveText('all sent', { timeout: 30_000 });

  const sent = await server.get<Sent[]>(`/api/visits/${visit}/entries`);
  expect(sent).toHaveLength(7);
  expect(new Set(sent.map((entry) => entry.id)).size).toBe(7);
  const station = await server.get<{ context: { history: { visit: string; text: string }[] } }>('/api/stations/HAR-1');
  expect(station.context.history.filter((point) => point.visit === visit).map((point) => point.text)).toEqual(['12 ft 0 in']);
  // Sent it is still hollow: nobody vouches for it yet.
  await expect(page.getByText(/^○ Provisional: it counts in the trend/)).toBeVisible();
  await expect(page.locator(`[data-visit="${visit}"] circle`)).toHaveAttribute('fill', 'var(--sheet)');
});

test('a killed server has what it acknowledged, and gets the rest without the network noticing', { tag: '@boat' }, async ({
  page,
  server,
}) => {
  const person = new Person(page, server.address);
  await person.opens();
  await person.waitsForOffline();
  await person.starts('Pell Tarn, Middle');
  await person.answers('How deep is it here?', '2.5');
  const sent = () => server.get<Sent[]>(`/api/visits/${person.visit()}/entries`);
  // “all sent” stood there before, too: what was just written is waited for.
  await expect.poll(async () => (await sent()).length).toBe(2);
  const acknowledged = await sent();
  await server.kill();
  await person.answers('Where was it lost?', '1.4');
  await expect(page.getByRole('status')).toContainText('1 on this device only');

  await server.start();

  await expect(page.getByRole('status')).toHaveText('all sent', { timeout: 30_000 });
  const after = await sent();
  expect(after).toHaveLength(3);
  expect(after.map(({ id }) => id)).toEqual(expect.arrayContaining(acknowledged.map(({ id }) => id)));
});

test('an answer that is lost on the way does not make an entry twice', { tag: '@boat' }, async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  let lost = 0;
  await page.route('**/api/entries', async (route) => {
    // The server takes them; the device never hears of it.
    await route.fetch();
    lost += 1;
    await (lost <= 2 ? route.abort() : route.continue());
  });
  await person.starts('Pell Tarn, Middle');
  await person.answers('How deep is it here?', '2.5');

  await expect.poll(() => lost, { timeout: 30_000 }).toBeGreaterThan(2);
  await expect(page.getByRole('status')).toHaveText('all sent', { timeout: 30_000 });
  expect(await server.get<Sent[]>(`/api/visits/${person.visit()}/entries`)).toHaveLength(2);
});

import { Person } from './person';
import { expect, test } from './server';

test('on the column a planned bottle is dragged to another depth, and a layer is looked at by itself', async ({
  page,
  server,
}) => {
  const person = new Person(page, server.address);
  await person.opens();
  // The pier’s programme asks for a deep bottle, too.
  await page.evaluate(async () => {
    const programmes = (await (await fetch('/api/programmes')).json()) as { programme: Programme }[];
    const programme = programmes.find((one) => one.programme.code === 'coastal-pier')?.programme as Programme;
    const season = programme.season.map((plan) =>
      plan.protocol === 'clarity' ? { ...plan, bottles: [{ type: 'depth-water', from: 'deep' }] } : plan,
    );
    const { token } = (await (await fetch('/api/session')).json()) as { token: string };
    const answer = await fetch(`/api/programmes/coastal-pier?version=${programme.version}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'X-Upper-Still': token },
      body: JSON.stringify({ programme: { ...programme, season }, keep: true }),
    });
    if (!answer.ok) {
      throw new Error(await answer.text());
    }
    interface Programme {
      code: string;
      version: number;
      season: { protocol: string }[];
    }
  });
  await page.reload();
  await person.starts('Skarn Sound, Pier head', ['clarity']);
  await person.answers('How deep is it here?', '8.0');
  await expect(page.getByText('8.0 m, 8.0 m known')).toBeVisible();
  const column = page.getByRole('complementary', { name: 'Water column' });
  const bottle = column.locator('svg g.cursor-grab');
  const at = await bottle.boundingBox();
  if (!at) {
    throw new Error('No planned bottle is on the column.');
  }
  const middle = { x: at.x + at.width / 2, y: at.y + at.height / 2 };
  await page.mouse.move(middle.x, middle.y);
  await page.mouse.down();
  await page.mouse.move(middle.x, middle.y - 150, { steps: 5 });
  await expect(bottle.locator('text')).toHaveText(/^\d\.\d m$/);
  await page.mouse.up();
  await page.getByText(/^Written so far/).click();
  await expect(page.getByRole('group').getByText(/moved to \d\.\d m$/)).toBeVisible();
  // It hangs where it was let go, to the tenth of a metre.
  const now = await bottle.boundingBox();
  expect(Math.abs((now?.y ?? 0) + at.height / 2 - (middle.y - 150))).toBeLessThan(6);

  const surface = column.locator('svg text', { hasText: /^0$/ });
  await expect(surface).toHaveCount(1);
  await page.getByLabel('Part of the column').selectOption('lower half');
  await expect(surface).toHaveCount(0);
});

import { goTo, Person } from './person';
import { expect, test } from './server';

test('a date is moved: what changes is shown first, then kept', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await goTo(page, `${server.address}/season`);
  await expect(page.getByRole('heading', { name: 'Harrowmere: Deep Hole, then North Arm' })).toBeVisible();
  await expect(page.getByText('Long Sallow Reservoir, Dam end is at risk.')).toBeVisible();
  await expect(page.getByText('June was missed. 2 dates left, 2 needed')).toBeVisible();

  // At the desk the year is one picture; on the boat each station has its next date.
  const row = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Pell Tarn, Middle' }) });
  await ((await row.isVisible())
    ? row.getByRole('button')
    : page.getByRole('button', { name: /Pell Tarn, Middle.*planned/ }).first()
  ).click();
  const panel = page.getByRole('region', { name: /^Pell Tarn/ });
  await expect(panel.getByText(/days after 5 August; 10–18 are asked/)).toBeVisible();
  await panel.getByRole('button', { name: /^take / }).click();
  await panel.getByRole('button', { name: 'weather' }).click();
  await panel.getByRole('button', { name: 'Show what changes' }).click();
  await expect(panel.getByRole('status')).toContainText('August moves to');
  const moved = await panel.getByLabel('Go instead on').inputValue();
  await panel.getByRole('button', { name: 'Keep it so' }).click();

  await expect(panel).toHaveCount(0);
  const season = await server.get<{ plan: { stations: { code: string; dates: { day: string; why: string[] }[] }[] } }>(
    '/api/season',
  );
  const dates = season.plan.stations.find((station) => station.code === 'PEL-1')?.dates ?? [];
  expect(dates.find((date) => date.day === moved)?.why[0]).toBe('chosen by hand: weather');
});

test('what was taken along is counted in the season', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, Deep Hole', ['clarity', 'chlorophyll']);
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');
  await page.getByRole('button', { name: 'On to the composite' }).click();
  await person.composes('three quarters', ['HAR-1-260812-C1-Q', 'HAR-1-260812-C1R-X']);
  await page.getByRole('button', { name: 'On to leaving' }).click();
  await person.ends();
  await expect(page.getByRole('status')).toHaveText('all sent', { timeout: 30_000 });

  await goTo(page, `${server.address}/season`);
  await expect(page.getByRole('heading', { name: 'Harrowmere: North Arm' })).toBeVisible();
  const season = await server.get<{ plan: { stations: { code: string; counts: { protocol: string; done: number }[] }[] } }>(
    '/api/season',
  );
  const counts = season.plan.stations.find((station) => station.code === 'HAR-1')?.counts;
  expect(counts?.find((count) => count.protocol === 'chlorophyll')?.done).toBe(4);
});

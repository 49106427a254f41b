import { goTo, Person } from './person';
import { expect, test } from './server';

test('a rope is taped: nonsense is refused, a stretch corrects the readings and both numbers stay', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/setup/kit`);
  await expect(page.getByRole('region', { name: 'Due now' }).getByText('M-1 was due 7 Aug 2026')).toBeVisible();
  await page.getByRole('button', { name: 'Open R-3' }).click();
  await page.getByRole('button', { name: 'Tape it' }).click();
  await page.getByLabel('Mark 1, the line says').fill('40');
  await page.getByLabel('Mark 1, the tape says').fill('28');
  await page.getByRole('button', { name: 'Show what it gives' }).click();
  await expect(page.getByText('No line stretches or shrinks so far')).toBeVisible();
  await page.getByLabel('Mark 1, the tape says').fill('40 10');
  await page.getByRole('button', { name: 'Show what it gives' }).click();
  await expect(page.getByText('2.1 % long: it read short')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await expect(page.getByText('R-3 reads 2.1 % off.').first()).toBeVisible();

  // The next visit reads the marks as they are, and works with what they truly are.
  await goTo(page, server.address);
  await person.starts('Harrowmere, Deep Hole');
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');
  await expect(person.figure('Clarity')).toContainText('12 ft 3 in');
  await expect(page.getByText('by the marks 12 ft 0 in').first()).toBeVisible();

  // It was the wrong rope: the check is struck, and stays in the history with its reason.
  await goTo(page, `${server.address}/setup/kit`);
  await page.getByRole('button', { name: 'Open R-3' }).click();
  await page.getByRole('button', { name: 'Strike the check of Wed 12 Aug 2026' }).click();
  await page.getByRole('button', { name: 'wrong item' }).click();
  await page.getByRole('button', { name: 'Strike it' }).click();
  await expect(page.getByText('struck by Ada Fenn: wrong item')).toBeVisible();
  await expect(page.getByText('R-3 reads 2.1 % off.')).toHaveCount(0);
});

test('a line gets new marks, and its stations follow', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await goTo(page, `${server.address}/setup/kit`);
  await page.getByRole('button', { name: 'Open R-4' }).click();
  await page.getByRole('button', { name: 'New marks in another colour' }).click();
  await page.getByLabel('Name of the line with its new marks').fill('R-3');
  await page.getByRole('button', { name: 'Give it new marks' }).click();
  await expect(page.getByText('R-3 is another item.')).toBeVisible();
  await page.getByLabel('Name of the line with its new marks').fill('R-4-red');
  await page.getByRole('button', { name: 'Give it new marks' }).click();
  await expect(page.getByRole('heading', { name: /^R-4-red/ })).toBeVisible();
  await expect(page.getByText('for SAL-1')).toBeVisible();
  await expect(page.getByText('R-4-red has never been taped.')).toBeVisible();
});

test('a sampler proposes a station from a scouting track, and a coordinator approves it', async ({ page, server, browser }) => {
  const sampler = new Person(page, server.address);
  await sampler.opens('sampler');
  await goTo(page, `${server.address}/setup/waters/pell-tarn`);
  await page.getByRole('button', { name: 'Propose a station' }).click();
  await page.getByLabel('Soundings, typed').fill('51.8866 -11.4104 1.2\n51.8868 -11.4104 1.9\n51.8870 -11.4104 1.6');
  await page.getByRole('button', { name: 'Find the deepest place' }).click();
  await page.getByRole('button', { name: 'Take this place and depth' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Inlet');
  await page.getByRole('button', { name: 'Propose it' }).click();
  await expect(page.getByText('It does not say why there.')).toBeVisible();
  await page.getByLabel('Why there').fill('deepest of our track');
  await page.getByRole('button', { name: 'Propose it' }).click();
  await expect(page.getByText('“deepest of our track”')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look and approve' })).toHaveCount(0);

  const own = await browser.newContext({ serviceWorkers: 'block' });
  const office = new Person(await own.newPage(), server.address);
  await office.opens();
  await goTo(office.page, `${server.address}/setup/waters/pell-tarn`);
  await office.page.getByRole('button', { name: 'Look and approve' }).click();
  await office.page.getByRole('button', { name: 'Approve the station' }).click();
  await expect(office.page.getByRole('heading', { name: 'PEL-2 Inlet' })).toBeVisible();
  await expect(office.page.getByText('“deepest of our track”')).toHaveCount(0);
  await own.close();
});

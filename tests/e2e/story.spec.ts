import { Person } from './person';
import { expect, test } from './server';

interface Sent {
  id: string;
  kind: string;
  strikes?: string;
}

test('one clarity reading, from the rope to the long record', { tag: '@both' }, async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await person.starts('Harrowmere, Deep Hole');
  await person.answers('How deep is it here?', '102');
  await person.answers('Where was it lost?', '21 9');
  await person.answers('Where did you see it again?', '11 3');

  // 21 ft was misheard: the pair is too far apart, and the mark is struck with a reason.
  await expect(page.getByText('Lost at 21 ft 9 in, seen at 11 ft 3 in: 10 ft 6 in apart.')).toBeVisible();
  await person.strikes('21 ft 9 in', 'misheard');
  await person.answers('Where was it lost?', '12 9');

  await expect(person.figure('Clarity')).toContainText('12 ft 0 in');
  await expect(person.figure('Mean, unrounded')).toContainText('12 ft 0 in');
  await expect(person.figure('2 × clarity')).toContainText('24 ft 0 in');
  await expect(person.figure('Mark for the composite')).toContainText('24 ft 0 in');
  await expect(page.getByRole('table', { name: 'The water column' })).toContainText('composite, depth to mark');

  // Any derived number opens to its working.
  await page.getByRole('button', { name: 'show the working: Depth to mark for the composite' }).click();
  await expect(page.getByRole('dialog')).toContainText('min(24 ft 0 in, 102 ft − 3 ft = 99 ft 0 in) = 24 ft 0 in');
  await expect(page.getByRole('dialog')).toContainText('Poole & Atkins 1929');
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'On to leaving' }).click();
  const visit = person.visit();
  await person.ends();
  await expect(page.getByRole('heading', { name: /^Clear to 12 ft 0 in/ })).toBeVisible();

  await page
    .getByText(/Written so far/)
    .filter({ visible: true })
    .click();
  await expect(page.locator('s:visible', { hasText: 'Disc lost at 21 ft 9 in' })).toBeVisible();

  await expect(page.getByRole('status')).toHaveText('all sent');
  await page.getByRole('link', { name: 'See it in the record' }).click();
  await expect(page.getByRole('heading', { name: 'Clear to 12 ft 0 in at Deep Hole on 12 August 2026.' })).toBeVisible();
  await expect(page.locator(`[data-visit="${visit}"]`)).toHaveCount(1);

  const sent = await server.get<Sent[]>(`/api/visits/${visit}/entries`);
  expect(sent.map((entry) => entry.kind).sort()).toEqual(
    ['disc-mark', 'disc-mark', 'disc-mark', 'sounding', 'strike', 'visit-closed', 'visit-started'].sort(),
  );
});

test('the disc on the bottom of the tarn is "greater than" and is never doubled', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await person.starts('Pell Tarn, Middle');
  await person.answers('How deep is it here?', '2.6');
  await page.getByRole('button', { name: 'On the bottom, still in sight' }).click();

  await expect(person.figure('Clarity')).toContainText('> 2.6 m');
  await expect(person.figure('Mark for the composite')).toContainText('1.6 m');
  await expect(person.figure('2 × clarity')).toHaveCount(0);
});

test('two observers read one after the other, and each is asked by name', { tag: '@boat' }, async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await person.starts('Harrowmere, North Arm');
  await person.answers('How deep is it here?', '11.9');
  await person.answers(/^Bea Okafor: where can you tell black from white again/, '3.85');
  await person.answers(/^Tomas Reyl: where/, '3.9');

  await expect(person.figure('Clarity')).toContainText('3.9 m');
  await expect(person.figure('Mean, unrounded')).toContainText('3.88 m');
});

test('a reader who thinks in metres sees metres, and the entry keeps its feet', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await person.starts('Harrowmere, Deep Hole');
  await person.answers('How deep is it here?', '102');
  await page.getByRole('button', { name: 'You and this device' }).click();
  await page.getByRole('radio', { name: 'In metres' }).check();
  await page.keyboard.press('Escape');
  await person.answers('Where was it lost?', '12 9');
  await person.answers('Where did you see it again?', '11 3');

  await expect(person.figure('Clarity')).toContainText('3.66 m');
  const written = await page.evaluate(async () => {
    const open = indexedDB.open('upper-still');
    await new Promise((done) => open.addEventListener('success', done));
    const all = open.result.transaction('entries').objectStore('entries').getAll();
    await new Promise((done) => all.addEventListener('success', done));
    return (all.result as { visit: string; entry: { kind: string; body: { depth?: { written: string; unit: string } } } }[])
      .filter((kept) => kept.visit === location.pathname.split('/')[2] && kept.entry.kind === 'disc-mark')
      .map((kept) => `${kept.entry.body.depth?.written} ${kept.entry.body.depth?.unit}`);
  });
  expect(written).toEqual(['12 9 ft-in', '11 3 ft-in']);
});

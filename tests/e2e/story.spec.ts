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

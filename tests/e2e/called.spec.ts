import type { Locator, Page } from '@playwright/test';
import { Person } from './person';
import { expect, test } from './server';

/** Where the hands are: the field and the keys on the boat, the bar at both sizes. */
async function places(page: Page): Promise<unknown[]> {
  const boat = await page.getByRole('button', { name: '7', exact: true }).isVisible();
  const parts: Locator[] = [page.getByRole('region', { name: /^(Written last|Check: |Note: )/ }).or(page.getByRole('alert'))];
  if (boat) {
    parts.push(
      page.getByRole('button', { name: '7', exact: true }),
      page.locator('form button[type=submit]'),
      page.getByRole('textbox', { name: /^Temperature/ }),
    );
  }
  return Promise.all(
    parts.map(async (part) => {
      const box = await part.first().boundingBox();
      return box && [Math.round(box.x), Math.round(box.y), Math.round(box.height)];
    }),
  );
}

test('what is called is filed where it was called, and nothing moves under the finger', { tag: '@both' }, async ({
  page,
  server,
}) => {
  test.slow();
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['profile']);
  await person.answers('How deep is it here?', '11.9');
  await person.goes('Profile');
  const levels = page.getByRole('table', { name: 'Levels of the profile' });
  const filed = async () =>
    (
      await levels
        .locator('tbody tr')
        .filter({ has: page.getByRole('button', { name: /read again or strike$/ }) })
        .allInnerTexts()
    ).map((row) => row.replace('added', '').split(/\s+/).slice(0, 3).join(' '));

  // From 19.8 to 18.2 and on it breaks at each level; still the next planned one stays the next.
  await expect(page.getByRole('textbox', { name: /^Temperature/ })).toBeVisible();
  const before = await places(page);
  await person.reads([
    ['20.0', '8.6'],
    ['19.8', '8.6'],
    ['18.2', '8.6'],
    ['16.5', '8.6'],
    ['15.0', '8.6'],
  ]);
  await expect.poll(filed).toEqual(['0.3 m 20.0', '1 m 19.8', '2 m 18.2', '3 m 16.5', '4 m 15.0']);
  // A stop came up meanwhile; field, keys and bar are where they were.
  await expect(page.getByRole('alert')).toContainText('No calibration today.');
  expect(await places(page)).toEqual(before);
  await page.getByRole('button', { name: 'Other ways' }).click();
  await page.getByRole('button', { name: 'Keep, because…' }).click();
  await expect(page.getByRole('button', { name: 'swell' })).toHaveCount(0);
  await page.getByRole('button', { name: 'calibrated ashore this morning' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();

  // A proposed level is taken by one touch, and left out by one; both times 5 m is still the next.
  const at = page.getByRole('form', { name: /^Level/ }).or(levels.getByRole('textbox', { name: /^Temperature at/ }));
  await expect(at).toHaveAttribute('aria-label', /5 m/);
  await page.getByRole('button', { name: 'Take 3.5 m now' }).click();
  await expect(at).toHaveAttribute('aria-label', /3\.5 m/);
  await person.reads([['15.8', '8.6']]);
  await expect(at).toHaveAttribute('aria-label', /\b5 m/);
  await person.reads([['12.0', '8.6']]);
  await page.getByRole('button', { name: 'Other ways' }).click();
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await expect(at).toHaveAttribute('aria-label', /\b6 m/);
  await expect.poll(filed).toContainEqual('3.5 m 15.8');

  // Down to the bottom, then what is left on the way up; none of it is a repeated level.
  await person.reads(['6', '7', '8', '9', '10', '11', '11.4'].map(() => ['12.0', '8.6']));
  await expect(at).toHaveAttribute('aria-label', /2\.5 m/);
  await expect(page.getByText(/^(Back up at|Profile, going up again)$/)).toBeVisible();
  await person.reads([['17.0', '8.6']]);
  await expect(at).toHaveAttribute('aria-label', /1\.5 m/);
  await expect(page.getByText(/again\. If a mark was miscounted/)).toHaveCount(0);

  // What follows is drawn where there is room for words: the break has its label on the column.
  const wide = (page.viewportSize()?.width ?? 0) > 800;
  await expect(page.getByText(/^thermocl\. \d/)).toHaveCount(wide ? 1 : 0);
});

test('a finding is seen where it was made, stays until it is answered, and ends when it is mended', { tag: '@both' }, async ({
  page,
  server,
}) => {
  test.slow();
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile', 'chlorophyll']);

  // Unusual: the page stays, says so, and marks the number.
  await person.answers('How deep is it here?', '9.0');
  const said = page.getByRole('region', { name: /^Check: 9\.0 m here, 12\.0 m known/ });
  await expect(said).toBeVisible();
  await expect(page.getByText('a check is open')).toBeAttached();
  await said.getByRole('button', { name: 'Sound it again' }).click();
  await person.answers('How deep is it here?', '11.9');

  // Blind: the first number stands nowhere, not even as a finding; then both are seen.
  await person.answers(/^Bea Okafor:/, '13.7');
  await expect(person.question(/^Tomas Reyl:/)).toBeVisible();
  await expect(page.getByRole('main')).not.toContainText('13.7');
  await person.answers(/^Tomas Reyl:/, '13.9');
  await expect(page.getByRole('alert')).toContainText('is deeper than the water');
  await expect(page.getByText('a stop is open')).toHaveCount(2);

  // Every stop that keeps the visit from ending is listed where it would end, with the way to it.
  await person.goes('Leave');
  const count = Number(/(\d+) stops are open/.exec((await page.getByText(/stops are open/).textContent()) ?? '')?.[1]);
  await expect(page.getByRole('alert')).toHaveCount(count);
  await page.getByRole('button', { name: 'To clarity' }).click();
  await person.strikes('13.7 m', 'typed wrong');
  await person.answers(/^Bea Okafor:/, '3.2');
  await person.strikes('13.9 m', 'typed wrong');
  await person.answers(/^Tomas Reyl:/, '3.4');
  await expect(person.figure('Clarity')).toContainText('3.3 m');
  await expect(page.getByRole('alert')).toHaveCount(0);

  // It came up full, then right: both stand, and the way on is there.
  await person.goes('Composite');
  await person.picks('It came up', 'full');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('alert')).toContainText('Came up full.');
  await person.picks('It came up', 'three quarters');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByText('Kept: a later one came up right')).toBeVisible();
  const bottle = 'HAR-2-260812-C1-B';
  const fill = async (level: string) => {
    await person.picks(/^Rinsed, times/, '1');
    await person.picks(/^Filled:/, level);
    await page.getByRole('button', { name: 'Filled, capped, into the cooler' }).click();
  };
  await page.getByRole('button', { name: `Fill ${bottle}`, exact: true }).click();
  await fill('more');
  const row = page.getByRole('button', { name: `Strike ${bottle} ✓` }).locator('xpath=..');
  await expect(row).toContainText('a check is open');
  await expect(row).not.toContainText('✓');
  await page.getByRole('button', { name: 'Fill it again' }).click();
  await fill('as asked');
  await expect(row).toContainText('✓');
  await expect(page.getByText('Kept: filled anew')).toBeVisible();
});

import { createHash } from 'node:crypto';
import { Person } from './person';
import { expect, test } from './server';

/** A log as a meter with decimal commas writes it: a soak, the way down, the way up. */
function log(): string {
  const rows: [number, number, number][] = [];
  const water = (depth: number): [number, number, number] => [depth, 21.5 - depth * 0.4, 98 - depth * 2];
  for (let i = 0; i < 40; i++) {
    rows.push(water(0.3));
  }
  for (let depth = 0.3; depth <= 11.4; depth += 0.1) {
    rows.push(water(depth));
  }
  for (let depth = 11.4; depth >= 0; depth -= 0.4) {
    rows.push([depth, 5, 1]);
  }
  const text = rows.map((row) => row.map((value) => value.toFixed(2).replace('.', ',')).join(';'));
  return `\uFEFFMeter;12\n\nTiefe;Temp;DO\nm;°C;%\n${text.join('\r\n')}\r\n`;
}

test('a logged cast becomes levels, its file is kept, and struck it takes them with it', async ({ page, server }) => {
  test.slow();
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await person.starts('Harrowmere, North Arm', ['clarity', 'profile']);
  await person.answers('How deep is it here?', '11.9');
  await person.goes('Profile');
  const text = log();
  const bytes = Buffer.from(text);
  const file = page.getByLabel('File of a logged cast');
  await file.setInputFiles({
    name: 'letter.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Dear coordinator,\nno numbers here'),
  });
  const dialog = page.getByRole('dialog', { name: 'A cast from the meter’s memory' });
  await expect(dialog.getByText('No rows of numbers are in this file.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Not this file' }).click();

  // Its depth has a name that nobody guesses: a person says which column it is, once.
  await file.setInputFiles({ name: 'arm.csv', mimeType: 'text/csv', buffer: bytes });
  await expect(dialog.getByText('No column is the depth.')).toBeVisible();
  await dialog.getByLabel('Tiefe is taken for').selectOption('Depth');
  await expect(dialog.getByText('The depth column has no unit.')).toBeVisible();
  await expect(dialog.getByRole('button', { name: /^Write \d+ levels down/ })).toBeDisabled();
  await dialog.getByLabel('Unit of Tiefe').selectOption('m');
  await expect(dialog.getByRole('table', { name: 'What each level would hold' }).getByRole('row')).toHaveCount(14);
  await dialog.getByRole('button', { name: 'Write 13 levels down' }).click();

  const levels = page.getByRole('table', { name: 'Levels of the profile' });
  await expect(levels.getByRole('row')).toHaveCount(14);
  await expect(levels).toContainText('17.10');
  await expect(levels).not.toContainText('5.00');
  await expect(page.getByRole('status').first()).toHaveText('all sent', { timeout: 20_000 });
  const sha256 = createHash('sha256').update(text).digest('hex');
  await expect(async () => {
    const kept = await page.request.get(`${server.address}/api/visits/${person.visit()}/casts/${sha256}`);
    expect(await kept.body()).toEqual(bytes);
  }).toPass();

  await person.strikes('Logged cast 13 levels', 'misread');
  await expect(levels.getByRole('row')).toHaveCount(2);
  // The next file of this meter needs no questions.
  await file.setInputFiles({ name: 'again.csv', mimeType: 'text/csv', buffer: bytes });
  await expect(dialog.getByRole('button', { name: 'Write 13 levels down' })).toBeEnabled();
});

import { Person } from './person';
import { expect, test } from './server';

test('a whole visit by keyboard alone', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  await page.getByRole('link', { name: 'Start a visit' }).first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Who reads the disc')).toBeVisible();
  await page.getByRole('textbox', { name: 'Observer' }).focus();
  await page.keyboard.press('Enter');

  // Each box takes the keyboard by itself.
  for (const [question, written] of [
    ['How deep is it here?', '102'],
    ['Where was it lost?', '12 9'],
    ['Where did you see it again?', '11 3'],
  ] as const) {
    await expect(person.question(question)).toBeFocused();
    await page.keyboard.type(written);
    await page.keyboard.press('Enter');
  }
  await expect(person.figure('Clarity')).toContainText('12 ft 0 in');
  for (const name of ['On to the composite', 'On to leaving', 'End the visit']) {
    await expect(page.getByRole('button', { name })).toBeFocused();
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('heading', { name: /^Clear to 12 ft 0 in/ })).toBeVisible();
});

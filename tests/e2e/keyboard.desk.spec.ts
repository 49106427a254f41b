import { goTo, Person } from './person';
import { expect, test } from './server';

test('a whole visit by keyboard alone', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens();
  // Not the first row: on a new device the stations come one by one.
  await page.getByRole('listitem').filter({ hasText: 'Deep Hole' }).getByRole('link', { name: 'Start a visit' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Who reads the disc')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'chlorophyll' })).toBeChecked();
  await page.getByRole('checkbox', { name: 'chlorophyll' }).focus();
  await page.keyboard.press('Space');
  await page.getByRole('combobox', { name: 'Observer' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'On to the sounding' })).toBeFocused();
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
  for (const name of ['On to leaving', 'End the visit']) {
    await expect(page.getByRole('button', { name })).toBeFocused();
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('heading', { name: /^Clear to 12 ft 0 in/ })).toBeVisible();
});

test('a paper sheet with fifteen levels is typed in by keyboard alone, with few strokes', async ({ page, server }) => {
  const person = new Person(page, server.address);
  await person.opens('sampler');
  await goTo(page, `${server.address}/start/HAR-2`);
  await expect(page.getByRole('checkbox', { name: 'chlorophyll' })).toBeChecked();
  await page.getByRole('checkbox', { name: 'chlorophyll' }).focus();

  let strokes = 0;
  const press = async (key: string) => {
    strokes += 1;
    await page.keyboard.press(key);
  };
  const type = async (text: string) => {
    strokes += text.length;
    await page.keyboard.type(text);
  };
  const enter = async (text: string) => {
    await type(text);
    await press('Enter');
  };

  await press('Space'); // no chlorophyll on this sheet
  await page.getByRole('checkbox', { name: /paper sheet/ }).focus();
  await press('Space');
  await page.getByLabel('Time, 24 h').focus();
  await enter('915');
  await expect(page.getByRole('button', { name: 'On to the sounding' })).toBeFocused();
  // Boxes that are radio buttons: Tab to the group, Space or an arrow.
  await page.getByRole('radio', { name: '2', exact: true }).first().focus();
  await press('Space');
  await page.getByRole('button', { name: 'On to the sounding' }).focus();
  await press('Enter');
  await expect(person.question('How deep is it here?')).toBeFocused();
  await enter('14.0');
  // Deeper than it is known to be: the page stays, and Enter goes on.
  await expect(page.getByRole('button', { name: 'On to clarity' })).toBeFocused();
  await press('Enter');
  await expect(person.question(/^Bea Okafor/)).toBeFocused();
  await enter('3.2');
  await expect(person.question(/^Tomas Reyl/)).toBeFocused();
  await enter('3.4');
  await expect(page.getByRole('button', { name: 'On to the profile' })).toBeFocused();
  await press('Enter');
  const depths = ['0.3', '1', '2', '3', '4', '5', '6', '7', '8', '9', '10', '11', '12', '13', '13.5'];
  for (const [i, depth] of depths.entries()) {
    await expect(page.getByRole('textbox', { name: `Temperature at ${depth} m, °C`, exact: true })).toBeFocused();
    await enter((21.6 - i * 0.9).toFixed(1));
    await enter((8.6 - i * 0.4).toFixed(1));
  }
  // Nothing on the sheet says that the meter was calibrated.
  await page.getByRole('button', { name: 'Other ways' }).focus();
  await press('Enter');
  await page.getByRole('button', { name: 'Keep, because…' }).focus();
  await press('Enter');
  await page.getByRole('textbox', { name: 'Why does it stand?' }).focus();
  await enter('not on the sheet');
  await expect(page.getByRole('button', { name: 'On to leaving' })).toBeVisible();

  // At two strokes a second 180 s are 360.
  expect(strokes).toBeLessThan(360);
  let sent: { kind: string; at: string }[] = [];
  await expect
    .poll(async () => {
      sent = await server.get(`/api/visits/${person.visit()}/entries`);
      return sent.filter(({ kind }) => kind === 'level').length;
    })
    .toBe(15);
  expect(new Set(sent.map(({ at }) => at.slice(0, 16)))).toEqual(new Set(['2026-08-12T09:15']));
  await page.getByText(/^Written so far/).click();
  await expect(page.getByText(/^Visit begun at HAR-2, .*, typed from a sheet$/)).toBeVisible();
});

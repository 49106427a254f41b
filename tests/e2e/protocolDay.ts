import { expect, type Locator, type Page } from '@playwright/test';

/** What is given to a box: a text, a count, the words of a choice, lines to tick, or seconds that were waited. */
export type Given =
  | string
  | number
  | readonly string[]
  | { seconds: number }
  | { specimens: readonly string[] }
  | { here: readonly [number, number] }
  | { named: string }
  | { listed: readonly string[] }
  | 'now';

/** A day of a described protocol: its boxes are answered one after the other, as whoever holds the device does. */
export class ProtocolDay {
  constructor(
    readonly page: Page,
    /** Where on the page; the whole of it for what is done once. */
    readonly place: Page | Locator = page,
  ) {}

  /** Answers boxes in their order: of several with one label the first that still asks. */
  async does(...boxes: readonly (readonly [label: string, given: Given])[]): Promise<void> {
    for (const [label, given] of boxes) {
      const before = await this.written(label).count();
      await this.gives(label, given);
      await expect(this.written(label), `“${label}” is written`).toHaveCount(before + 1);
    }
  }

  /** Begins another try where the last one failed: what the failed one had is folded away, and the box is asked anew. */
  async triesAgain(label: string, given: Given): Promise<void> {
    const again = this.page.getByRole('region', { name: /^Another try/ });
    await expect(again).toBeVisible();
    await new ProtocolDay(this.page, again).gives(label, given);
    await expect(again).toHaveCount(0);
  }

  /** What was written under a label, as it can be struck. */
  written(label: string): Locator {
    return this.page.getByRole('button', { name: new RegExp(`^Strike ${escaped(label)}`) });
  }

  /** The next container, with what is asked of it. */
  async fills(...answers: readonly string[]): Promise<void> {
    const button = this.place.getByRole('button', { name: /^Fill [A-Z]+-/ }).first();
    const number = ((await button.getAttribute('aria-label')) ?? '').replace('Fill ', '');
    await button.click();
    const form = this.page.getByRole('form', { name: `Fill ${number}` });
    await expect(form.getByRole('group', { name: /^Filled/ })).toBeVisible();
    for (const group of await form.getByRole('group').all()) {
      const words = (await group.locator('legend').textContent()) ?? '';
      const options = await group.locator('label').allTextContents();
      const answer = answers.find((one) => options.includes(one)) ?? ['as asked', 'yes'].find((one) => options.includes(one));
      if (!/Optional/.test(words) && answer) {
        await group.getByText(answer, { exact: true }).click();
      }
    }
    await form.getByRole('button', { name: /^Filled, / }).click();
    await expect(this.page.getByRole('button', { name: `Strike ${number} ✓` })).toBeVisible();
  }

  private async gives(label: string, given: Given): Promise<void> {
    const group = this.place.getByRole('group', { name: label, exact: true }).first();
    if (typeof given === 'number') {
      for (let count = 0; count < given; count++) {
        await group.getByRole('button', { name: 'One more' }).click();
      }
      await group.getByRole('button', { name: 'That is all' }).click();
    } else if (given === 'now') {
      await group.getByRole('button', { name: /now$/ }).click();
    } else if (typeof given !== 'string' && 'seconds' in given) {
      await group.getByRole('button', { name: 'type the seconds' }).click();
      await group.getByRole('textbox').fill(String(given.seconds));
      await group.getByRole('button', { name: 'Write it down' }).click();
    } else if (typeof given !== 'string' && 'here' in given) {
      const [latitude, longitude] = given.here;
      await this.page.context().setGeolocation({ latitude, longitude, accuracy: 5 });
      await group.getByRole('button', { name: 'Here' }).click();
    } else if (typeof given !== 'string' && 'named' in given) {
      const name = this.place.getByRole('textbox', { name: `${label}: somebody else` }).first();
      await name.fill(given.named);
      await name.locator('xpath=ancestor::form').getByRole('button', { name: 'Write it down' }).click();
    } else if (typeof given !== 'string' && 'listed' in given) {
      for (const [at, one] of given.listed.entries()) {
        await this.place
          .getByRole('textbox', { name: new RegExp(`^${escaped(label)}, ${at + 1} of`) })
          .first()
          .fill(one);
      }
      await this.place
        .getByRole('textbox', { name: new RegExp(`^${escaped(label)}, 1 of`) })
        .first()
        .locator('xpath=ancestor::form')
        .getByRole('button', { name: 'Write it down' })
        .click();
    } else if (typeof given !== 'string' && 'specimens' in given) {
      for (const kind of given.specimens) {
        await group.getByRole('button', { name: new RegExp(`^${escaped(kind)} ?\\d`) }).click();
      }
      await group.getByRole('button', { name: 'That is all' }).click();
    } else if (typeof given !== 'string') {
      for (const line of given) {
        await group.getByRole('checkbox', { name: line, exact: true }).check();
      }
      await group.getByRole('button', { name: 'Write it down' }).click();
    } else {
      await this.writesOrChooses(label, given, group);
    }
  }

  private async writesOrChooses(label: string, given: string, group: Locator): Promise<void> {
    // A number may stand with its only unit: "Salinity, ppt".
    const named = new RegExp(`^${escaped(label)}(, [^ ]+)?$`);
    const box = this.place
      .getByRole('textbox', { name: named })
      .or(this.place.getByLabel(named).and(this.page.locator('[type=date]')))
      .first();
    await expect(box.or(group).first()).toBeVisible();
    if (await group.isVisible()) {
      await group.getByText(given, { exact: true }).click();
      return;
    }
    const form = box.locator('xpath=ancestor::form');
    const [, number, unit] = /^([-\d.]+) (m|ft|cm|in|°C|°F)$/.exec(given) ?? [undefined, given];
    await box.fill(number ?? given);
    const units = form.getByRole('group', { name: 'Unit' });
    if (unit && (await units.isVisible())) {
      await units.getByText(unit, { exact: true }).click();
    }
    await form.getByRole('button', { name: 'Write it down' }).click();
  }
}

function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}

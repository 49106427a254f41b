import { expect, type Page } from '@playwright/test';
import type { RealServer } from './server';
import { signIn } from './session.mjs';

/**
 * To an address, as a link within the page leads there: what is fetched and started stays. The first time the page is loaded;
 * where it must be loaded anew, a test says `page.goto` or `page.reload`.
 */
export async function goTo(page: Page, address: string): Promise<void> {
  if (page.url().startsWith(new URL(address).origin)) {
    await page.evaluate((to) => history.pushState(null, '', to), address);
  } else {
    await page.goto(address);
  }
}

/** What a person does with the interface, the same at the desk and on the boat. */
export class Person {
  constructor(
    readonly page: Page,
    readonly address: string,
  ) {}

  /** Signed in already, as a device is all season. */
  async opens(account = 'coordinator'): Promise<void> {
    await signIn(this.page.request, this.address, account);
    await this.page.goto(this.address);
    await expect(this.page.getByRole('heading', { name: 'Pell Tarn, Middle' })).toBeVisible();
    await expect(this.page.getByText(/days ago|yesterday|today/).first()).toBeVisible();
  }

  /** The service worker has everything, so that the page opens without a server; and the device what comes last, the ledger. */
  async waitsForOffline(): Promise<void> {
    await this.page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await expect
      .poll(() =>
        this.page.evaluate(
          () =>
            new Promise((done) => {
              const opened = indexedDB.open('upper-still');
              opened.onsuccess = () => {
                const kept = opened.result.transaction('settings').objectStore('settings').get('ledger-up-to');
                kept.onsuccess = () => {
                  opened.result.close();
                  done(kept.result !== undefined);
                };
              };
            }),
        ),
      )
      .toBe(true);
  }

  /** Casts off without a signal: the network cut and the server stopped, then a visit begun. */
  async castsOff(server: RealServer, station: string, due: string[]): Promise<void> {
    await this.opens('sampler');
    await this.waitsForOffline();
    await server.kill();
    await this.page.context().setOffline(true);
    const row = this.page.getByRole('listitem').filter({ has: this.page.getByRole('heading', { name: station }) });
    await row.getByRole('link', { name: 'Start a visit' }).click();
    await this.begins(due);
  }

  /** The signal comes back, and everything is sent. */
  async comesBack(server: RealServer): Promise<void> {
    await server.start();
    await this.page.context().setOffline(false);
    await expect(this.page.getByRole('status').first()).toHaveText('all sent', { timeout: 30_000 });
  }

  /** Begins a visit for the clarity alone, or for more, and goes on to the sounding. */
  async starts(station: string, due: string[] = ['clarity']): Promise<void> {
    await this.startsAt(station);
    await this.begins(due);
    await this.page.getByRole('button', { name: 'On to the sounding' }).click();
    await expect(this.question('How deep is it here?')).toBeVisible();
  }

  /** To the page that asks what is to be done today. */
  async startsAt(station: string): Promise<void> {
    const row = this.page.getByRole('listitem').filter({ has: this.page.getByRole('heading', { name: station }) });
    await row.getByRole('link', { name: 'Start a visit' }).click();
  }

  /** From the page that asks what is to be done today. */
  async begins(due: string[]): Promise<void> {
    await expect(this.page.getByRole('button', { name: 'Begin' })).toBeEnabled();
    const today = this.page.getByRole('group', { name: 'To do today' });
    for (const one of due) {
      await expect(today.getByText(one, { exact: true })).toBeVisible();
    }
    for (const box of await today.getByRole('checkbox').all()) {
      const name = ((await box.locator('..').textContent()) ?? '').trim();
      await box.setChecked(due.includes(name));
    }
    await this.page.getByRole('button', { name: 'Begin' }).click();
    await expect(this.page.getByRole('heading', { name: 'Arrive' })).toBeVisible();
  }

  /** A number or words into an empty box of a protocol, written down. */
  async writes(label: string, text: string): Promise<void> {
    const box = this.page.getByRole('textbox', { name: label, exact: true }).first();
    await box.fill(text);
    await this.page.locator('form').filter({ has: box }).getByRole('button', { name: 'Write it down' }).click();
    await expect(this.page.getByRole('button', { name: new RegExp(`^Strike ${label.split(',')[0]}`) }).first()).toBeVisible();
  }

  /** To a step of the visit: by the runsheet at the desk, by what is left on the boat. */
  async goes(step: string): Promise<void> {
    const row = this.page.getByRole('button', { name: new RegExp(`^(done|next|to do|not done): ${step}`) });
    // The list may still move under the finger while the last entry is worked out: who sees another step touches again.
    await expect(async () => {
      const left = this.page.getByRole('button', { name: /^What’s left/ });
      if ((await left.isVisible()) && !(await row.isVisible())) {
        await left.click();
      }
      await row.click();
      await expect(this.page.locator('[aria-current=step]')).toContainText(step, { timeout: 2_000 });
    }).toPass({ timeout: 15_000 });
  }

  /** One of a few, by one touch. */
  async picks(group: string | RegExp, option: string): Promise<void> {
    await this.page.getByRole('group', { name: group }).getByText(option, { exact: true }).click();
  }

  question(text: string | RegExp) {
    return this.page.getByRole('textbox', { name: text });
  }

  /** Answers the question that stands on the page: by keyboard at the desk, by the large keys on the boat. */
  async answers(question: string | RegExp, written: string): Promise<void> {
    const box = this.question(question);
    await expect(box).toBeVisible();
    if (await this.page.getByRole('button', { name: '7', exact: true }).isVisible()) {
      const names: Record<string, string> = { ' ': 'feet', '.': 'point' };
      for (const key of written) {
        await this.page.getByRole('button', { name: names[key] ?? key, exact: true }).click();
      }
      await expect(box).toHaveValue(written);
      await this.page.getByRole('button', { name: 'Write it down' }).click();
    } else {
      await box.fill(written);
      await box.press('Enter');
    }
  }

  async strikes(text: string, reason: string): Promise<void> {
    await this.page.getByRole('button', { name: new RegExp(`^Strike .*${text}$`) }).click();
    await this.page.getByRole('button', { name: reason, exact: true }).click();
    await this.page.getByRole('button', { name: 'Strike it' }).click();
  }

  figure(label: string) {
    return this.page.locator('dl > div').filter({ has: this.page.getByText(label, { exact: true }) });
  }

  /** One lowering of the composite sampler, and its bottles. */
  async composes(fill: string, bottles: string[]): Promise<void> {
    await this.picks('It came up', fill);
    await this.page.getByRole('button', { name: 'Write it down' }).click();
    for (const bottle of bottles) {
      await this.page.getByRole('button', { name: `Fill ${bottle}`, exact: true }).click();
      await this.picks(/^Rinsed, times/, '1');
      await this.picks(/^Filled:/, 'as asked');
      if (await this.page.getByRole('group', { name: /^Drops of/ }).isVisible()) {
        await this.picks(/^Drops of/, '5');
      }
      await this.page.getByRole('button', { name: 'Filled, capped, into the cooler' }).click();
      await expect(this.page.getByRole('button', { name: `Strike ${bottle} ✓` })).toBeVisible();
    }
  }

  /** From the sounding to full bottles of the composite, at the deep hole. */
  async fillsTheComposite(bottles: string[]): Promise<void> {
    await this.answers('How deep is it here?', '102');
    await this.answers('Where was it lost?', '12 9');
    await this.answers('Where did you see it again?', '11 3');
    await this.page.getByRole('button', { name: 'On to the composite' }).click();
    await this.composes('three quarters', bottles);
  }

  /** Levels of a profile, from the one that is asked for on: depth is the page’s. */
  async reads(levels: [string, string][]): Promise<void> {
    await expect(this.page.getByRole('textbox', { name: /^Temperature/ })).toBeVisible();
    const boat = await this.page.getByRole('button', { name: '7', exact: true }).isVisible();
    for (const [celsius, oxygen] of levels) {
      const at = boat
        ? await this.page.getByRole('form', { name: /^Level/ }).getAttribute('aria-label')
        : await this.page.getByRole('textbox', { name: /^Temperature at/ }).getAttribute('aria-label');
      if (boat) {
        for (const key of celsius) {
          await this.page.getByRole('button', { name: key === '.' ? 'point' : key, exact: true }).click();
        }
        await this.page.getByRole('button', { name: 'Next: oxygen' }).click();
        for (const key of oxygen) {
          await this.page.getByRole('button', { name: key === '.' ? 'point' : key, exact: true }).click();
        }
        await this.page.getByRole('button', { name: /^Write .* down$/ }).click();
        await expect(this.page.getByRole('form', { name: at ?? '', exact: true })).toHaveCount(0);
      } else {
        await expect(this.page.getByRole('textbox', { name: /^Temperature at/ })).toBeFocused();
        await this.page.keyboard.type(celsius);
        await this.page.keyboard.press('Enter');
        await this.page.keyboard.type(oxygen);
        await this.page.keyboard.press('Enter');
        await expect(this.page.getByRole('textbox', { name: at ?? '', exact: true })).toHaveCount(0);
      }
    }
  }

  /** To a place of the application, by the heading row; on a narrow screen its places fold away. */
  async toPlace(place: string): Promise<void> {
    await this.page.getByRole('link', { name: 'Upper Still, home' }).click();
    await expect(this.page.getByRole('heading', { name: 'Where are you going?' })).toBeVisible();
    const links = this.page.getByRole('navigation', { name: 'Places' }).filter({ visible: true });
    if ((await links.count()) === 0) {
      await this.page.getByRole('button', { name: 'On the water' }).click();
    }
    await links.getByRole('link', { name: place, exact: true }).click();
  }

  /** One filter, from its bottle to the freezer: whole fills of 50 mL, and what the syringe still held when it clogged. */
  async filters(number: string, whole: number, left?: string): Promise<void> {
    await this.page.getByRole('button', { name: 'Swirled: begin' }).click();
    await this.page.getByRole('button', { name: 'The white one is in' }).click();
    await this.page.getByRole('button', { name: 'Rinsed', exact: true }).click();
    for (let fill = 1; fill <= whole; fill++) {
      await this.page.getByRole('button', { name: '50 mL through' }).click();
      await expect(this.page.getByRole('status').filter({ hasText: 'mL' })).toHaveText(`${50 * fill}mL`);
    }
    if (left) {
      await this.page.getByRole('button', { name: 'It clogged…' }).click();
      await this.page.getByRole('button', { name: 'What is left' }).click();
      await this.answers('What does the syringe still hold?', left);
    }
    await this.page.getByRole('button', { name: 'Folded, in the vial' }).click();
    await expect(this.page.getByText(`${50 * whole + (left ? 50 - Number(left) : 0)} mL filtered`)).toBeVisible();
    await this.page.getByRole('button', { name: 'All of it stands there' }).click();
    await expect(this.page.getByRole('button', { name: 'In the freezer' })).toBeDisabled();
    await this.page.getByRole('checkbox', { name: /Wholly in foil/ }).check();
    await this.page.getByRole('textbox', { name: 'Which box, which place' }).fill('Box 1, B4');
    await this.page.getByRole('button', { name: 'In the freezer' }).click();
    await expect(this.page.getByRole('heading', { name: 'in the freezer' })).toBeVisible();
    await expect(this.page.getByRole('heading', { name: number })).toBeVisible();
  }

  async ends(): Promise<void> {
    await this.page.getByRole('button', { name: 'End the visit' }).click();
    await expect(this.page.getByRole('link', { name: 'See it in the record' })).toBeVisible();
  }

  visit(): string {
    return /\/visit\/([^/?#]+)/.exec(this.page.url())?.[1] ?? '';
  }
}

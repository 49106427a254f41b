import { expect, type Page } from '@playwright/test';
import { signIn } from './session.mjs';

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

  /** The service worker has everything, so that the page opens without a server. */
  async waitsForOffline(): Promise<void> {
    await this.page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
  }

  async starts(station: string): Promise<void> {
    const row = this.page.getByRole('listitem').filter({ has: this.page.getByRole('heading', { name: station }) });
    await row.getByRole('link', { name: 'Start a visit' }).click();
    await this.page.getByRole('button', { name: 'Begin, sound first' }).click();
    await expect(this.question('How deep is it here?')).toBeVisible();
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

  async ends(): Promise<void> {
    await this.page.getByRole('button', { name: 'End the visit' }).click();
    await expect(this.page.getByRole('link', { name: 'See it in the record' })).toBeVisible();
  }

  visit(): string {
    return new URL(this.page.url()).pathname.split('/')[2] ?? '';
  }
}

import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM } from '../e2e/chromium.mjs';
import { chromium } from '../e2e/node_modules/@playwright/test/index.mjs';
import { signIn } from '../e2e/session.mjs';

const LATE_MS = 30_000;

/** A real browser with a profile of its own on the disk; it is killed as a phone that falls dead. */
class Browser {
  profile = mkdtempSync(join(tmpdir(), 'upper-still-browser-'));

  async open(blocked) {
    this.process = spawn(
      CHROMIUM,
      [
        '--headless=new',
        '--no-sandbox',
        '--disable-gpu',
        '--no-first-run',
        '--remote-debugging-port=0',
        `--user-data-dir=${this.profile}`,
        'about:blank',
      ],
      { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
    );
    const address = await new Promise((done, fail) => {
      let said = '';
      this.process.stderr.on('data', (part) => {
        said += part;
        const found = /DevTools listening on (ws:\S+)/.exec(said);
        if (found) {
          done(found[1]);
        }
      });
      this.process.once('exit', () => fail(new Error(`The browser did not start: ${said.slice(-500)}`)));
    });
    this.remote = await chromium.connectOverCDP(address);
    const page = await this.remote.contexts()[0].newPage();
    page.setDefaultTimeout(LATE_MS);
    if (blocked) {
      await page.route('**/api/entries', (route) => route.abort());
    }
    return page;
  }

  async kill() {
    const gone = new Promise((done) => this.process.once('exit', done));
    process.kill(-this.process.pid, 'SIGKILL');
    await gone;
    await this.remote.close().catch(() => {});
  }

  end() {
    rmSync(this.profile, { recursive: true, force: true, maxRetries: 5 });
  }
}

async function waitingOn(page) {
  const status = page.getByRole('status').first();
  await status.waitFor();
  await page
    .getByText(/days ago/)
    .first()
    .waitFor();
  await page
    .getByText(/^(all sent|\d+ on this device only)/)
    .first()
    .waitFor();
  const words = (await status.textContent()) ?? '';
  return Number(/^(\d+)/.exec(words.trim())?.[1] ?? 0);
}

/**
 * Writes on a device that cannot deliver, and kills its browser amid a write; says what the page had said was written, and what
 * was there afterwards.
 */
export async function killBrowsers(kills, address, random) {
  const browser = new Browser();
  const visits = [];
  let said = 0;
  let asked = 0;
  const short = [];
  try {
    for (let i = 0; i <= kills; i++) {
      const page = await browser.open(i < kills);
      // A browser writes its cookies down now and then; a sign-in that it lost is no entry.
      await signIn(page.request, address, 'sampler');
      await page.goto(address);
      const there = await waitingOn(page);
      if (i > 0 && i < kills && there < said) {
        short.push(`kill ${i}: ${said} written, ${there} there`);
      }
      if (i === kills) {
        await page.getByText('all sent').waitFor();
        await browser.kill();
        break;
      }
      await page.goto(`${address}/start/PEL-1`);
      asked++;
      await page.getByRole('button', { name: 'Begin' }).click();
      await page.getByRole('heading', { name: 'Arrive' }).waitFor();
      said++;
      visits.push(/visit\/([^?/]+)/.exec(page.url())[1]);
      await page.getByRole('button', { name: 'On to the sounding' }).click();
      for (const [question, written] of [
        [/How deep is it here/, '2.6'],
        [/Where was it lost/, '2.1'],
        [/Where did you see it again/, '1.9'],
      ]) {
        const box = page.getByRole('textbox', { name: question });
        await box.fill(written);
        asked++;
        await page.keyboard.press('Enter');
        if (random.chance(0.3)) {
          await new Promise((later) => setTimeout(later, random.below(120)));
          break;
        }
        await box.waitFor({ state: 'detached' });
        said++;
      }
      await browser.kill();
    }
  } finally {
    if (browser.process?.exitCode === null && browser.process.signalCode === null) {
      await browser.kill();
    }
    browser.end();
  }
  return { visits, said, asked, short };
}

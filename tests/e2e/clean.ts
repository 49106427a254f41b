import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type { AxeResults, RunOptions } from 'axe-core';
import { expect } from './server';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** The whole of it on paper; in glare, which differs in colour alone, the contrast. Once for each screen. */
export async function clean(page: Page, what: string): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) {
    await page.evaluate(axeSource);
  }
  const faults = await seen(page);
  await themed(page, 'glare');
  faults.push(...(await seen(page, ['color-contrast'])));
  await themed(page, 'paper');
  expect(faults.map((fault) => `${what}: ${fault}`)).toEqual([]);
  await fits(page, what);
}

/** Nothing hides beyond the right edge. */
export async function fits(page: Page, what: string): Promise<void> {
  await expect
    .poll(
      () =>
        page.evaluate(() => {
          const { scrollWidth, clientWidth } = document.documentElement;
          return scrollWidth <= clientWidth
            ? []
            : [...document.querySelectorAll('main *')]
                .filter((one) => one.children.length === 0 && one.getBoundingClientRect().right > clientWidth)
                .map((one) => `${one.tagName} ${one.className} ${one.textContent?.slice(0, 40)}`);
        }),
      { message: `${what} is wider than the screen` },
    )
    .toEqual([]);
}

/** What axe sees, by rule and place. Of what it finds right it says nothing, which takes it the longest. */
export function seen(page: Page, runOnly?: string[]): Promise<string[]> {
  return page.evaluate(
    async (options) => {
      const { axe } = window as unknown as { axe: { run(options: RunOptions): Promise<AxeResults> } };
      const { violations } = await axe.run(options);
      return violations.map(({ id, nodes }) => `${id} at ${nodes.map((node) => node.target.join(' ')).join(', ')}`);
    },
    { resultTypes: ['violations'], preload: false, ...(runOnly && { runOnly }) } as RunOptions,
  );
}

export async function themed(page: Page, theme: string): Promise<void> {
  await page.evaluate((chosen) => {
    document.documentElement.dataset.theme = chosen;
  }, theme);
}

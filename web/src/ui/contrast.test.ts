import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';

const css = readFileSync(new URL('../index.css', import.meta.url), 'utf8');

function tokens(selector: string): Record<string, string> {
  const block = css.slice(css.indexOf(`${selector} {`)).split('}')[0] ?? '';
  return Object.fromEntries([...block.matchAll(/--(\w+): (#[0-9a-f]{6})/g)].map(([, name, value]) => [name, value]));
}

/** Relative luminance and contrast ratio, WCAG 2.2. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((i) => Number.parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a: string, b: string): number {
  const [low = 0, high = 0] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return (high + 0.05) / (low + 0.05);
}

const PAIRS = [
  ...['paper', 'paper2', 'sheet'].flatMap((ground) =>
    ['ink', 'dim', 'slate', 'reed', 'buoy', 'madder'].map((text) => [text, ground] as const),
  ),
  ['onbuoy', 'buoy'],
  ['ink', 'water0'],
  ['slate', 'water0'],
  ['buoy', 'water0'],
] as const;

describe.each([
  [':root', 4.5],
  [':root[data-theme="glare"]', 7],
])('%s', (selector, least) => {
  const colours = tokens(selector);
  test.each(PAIRS)(`%s on %s is readable at ${least}:1`, (text, ground) => {
    expect(contrast(colours[text] ?? '', colours[ground] ?? '')).toBeGreaterThanOrEqual(least);
  });
});

import { expect, test } from 'vitest';
import { quoted } from './DataTable';

test.each([
  ['plain', 'plain'],
  ['two, parts', '"two, parts"'],
  ['12 ft "9"', '"12 ft ""9"""'],
  ['-3.2', '-3.2'],
  ['=HYPERLINK("x")', '"\'=HYPERLINK(""x"")"'],
  ['@cmd', "'@cmd"],
])('%s stands in a file as %s', (field, kept) => {
  expect(quoted(field)).toBe(kept);
});

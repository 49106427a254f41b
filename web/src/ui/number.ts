/**
 * A number as somebody typed it, for the boxes whose entries hold numbers; undefined where Core would not read one either: `1,234`
 * may be a thousand or a fraction, and nothing is guessed. `number.screen.test.ts` holds it to what Core says.
 */
export function numberOf(written: string | null | undefined): number | undefined {
  const text = (written ?? '').trim().replace('−', '-');
  const twoWays = /^[-+]?(?!0,)\d+,\d{3}$/.test(text);
  return /^[-+]?(\d+([.,]\d*)?|[.,]\d+)$/.test(text) && !twoWays ? Number(text.replace(',', '.')) : undefined;
}

/** What is said beside a box of numbers in which something else stands; for the properties of a field. */
export function notNumber(written: string, example = '3.4'): { problem?: string } {
  return written.trim() !== '' && numberOf(written) === undefined
    ? { problem: `“${written}” is no number. Write digits, for example ${example}.` }
    : {};
}

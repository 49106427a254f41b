/** Rows of numbers from pasted text: blanks, tabs, commas or semicolons between; what is no row of numbers is left out. */
export function rowsOf(text: string): number[][] {
  return text
    .split('\n')
    .map((line) =>
      line
        .trim()
        .split(/[\s;,]+/)
        .map(Number),
    )
    .filter((row) => row.length > 1 && row.every((value) => Number.isFinite(value)));
}

/** Round numbers from 0 up to a value: about five of them. */
export function niceTicks(until: number): number[] {
  if (!(until > 0)) {
    return [0];
  }
  const rough = until / 5;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 2.5, 5, 10].map((one) => one * power).find((one) => one >= rough) ?? rough;
  return Array.from({ length: Math.floor(until / step + 1e-9) + 1 }, (_, i) => Number((i * step).toPrecision(6)));
}

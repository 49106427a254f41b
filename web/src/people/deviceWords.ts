const SYSTEMS: [RegExp, string][] = [
  [/Android/, 'Android'],
  [/iPhone|iPad|iOS/, 'iPhone or iPad'],
  [/Windows/, 'Windows'],
  [/Mac OS X|Macintosh/, 'Mac'],
  [/CrOS/, 'Chromebook'],
  [/Linux/, 'Linux'],
];
const BROWSERS: [RegExp, string][] = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chrome'],
  [/Safari\//, 'Safari'],
];

/** A device in plain words, from those of its browser; for display alone. */
export function deviceWords(agent: string): string {
  const named = (all: [RegExp, string][]) => all.find(([sign]) => sign.test(agent))?.[1];
  return [named(BROWSERS), named(SYSTEMS)].filter(Boolean).join(' on ') || agent || 'A device that does not say what it is';
}

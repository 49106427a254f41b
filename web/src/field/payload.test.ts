import { readdirSync, readFileSync } from 'node:fs';
import { expect, test } from 'vitest';

const folder = new URL('../../public/core/_framework/', import.meta.url);
const core = readFileSync(new URL(readdirSync(folder).find((name) => /^UpperStill\.Core\..*wasm$/.test(name)) ?? '', folder));

test.each(['FieldSheet', 'TheilSen', 'LedgerSample'])('%s travels to the boat', (type) => {
  expect(core.includes(type)).toBe(true);
});

// The linker leaves out what no operation of the device reaches: import, reports, trends over stations, the search for a season.
test.each(['HistoricTable', 'AnnualReport', 'CoordinatorSummary', 'RegionalTrend', 'SideBySide', 'StationPlanner'])(
  '%s stays ashore',
  (type) => {
    expect(core.includes(type)).toBe(false);
  },
);

import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import type { Calculator } from '../calculator';
import { rowsOf } from '../rowsOf';

export const profile: Calculator = {
  key: 'profile',
  title: 'Stratification',
  what: 'Thermocline, mixed layer, where oxygen ends, and with areas the stability, of a pasted profile.',
  boxes: [
    {
      key: 'levels',
      label: 'Depth in m, °C, mg/L: one level a line',
      kind: 'table',
      initial: '0 20.1 9.0\n2 20.0 9.0\n4 19.6 9.1\n6 12.4 7.8\n8 8.1 5.2\n10 7.0 2.1\n12 6.8 0.6',
    },
    {
      key: 'areas',
      label: 'Depth in m, area in m²: one a line; may be left empty',
      kind: 'table',
      initial: '0 420000\n6 240000\n12 40000',
    },
  ],
  ask: async (values) => {
    const levels = rowsOf(values.text('levels'), 'a depth with temperature and oxygen', 0, 2, 3);
    const areas = rowsOf(values.text('areas'), 'a depth and an area');
    const result = await ask('profile', {
      levels: levels.rows
        .map((row) => row.map(Number))
        .map(([depthM, temperatureC, oxygenMgL]) => ({ depthM, temperatureC, oxygenMgL })),
      hypsography:
        areas.rows.length > 1
          ? areas.rows.map((row) => row.map(Number)).map(([depthM, areaM2]) => ({ depthM, areaM2 }))
          : undefined,
    } as unknown as OperationRequest<'profile'>);
    return {
      outcomes: result.figures.map((figure) => ({ label: figure.label, text: figure.text, working: figure.working })),
      findings: [...levels.findings, ...areas.findings, ...result.findings],
    };
  },
};

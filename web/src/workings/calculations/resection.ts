import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import { type Calculator, number } from '../calculator';
import { rowsOf } from '../rowsOf';

export const resection: Calculator = {
  key: 'resection',
  title: 'Position by bearings',
  what: 'Where the boat is, from three or more compass bearings to landmarks, with the error triangle.',
  boxes: [
    number('declinationDeg', 'Declination, east positive', '°', '0'),
    {
      key: 'bearings',
      label: 'Latitude and longitude of the landmark, bearing in °: one a line',
      kind: 'table',
      initial: '54.5210 -2.9800 12\n54.5140 -2.9650 85\n54.5020 -2.9860 201',
    },
  ],
  ask: async (values) => {
    const marks = rowsOf(values.text('bearings'), 'a latitude, a longitude and a bearing', 0, 3);
    const result = await ask('resection', {
      bearings: marks.rows
        .map((row) => row.map(Number))
        .map(([latitudeDeg, longitudeDeg, bearingDeg], i) => ({
          mark: { name: `landmark ${i + 1}`, latitudeDeg, longitudeDeg },
          bearingDeg,
        })),
      declinationDeg: values.number('declinationDeg') ?? 0,
    } as unknown as OperationRequest<'resection'>);
    return {
      outcomes: [
        {
          label: 'position',
          text: result.at
            ? `${result.at.latitudeDeg.toFixed(5)}, ${result.at.longitudeDeg.toFixed(5)}`
            : 'the bearings give none',
          working: result.working,
        },
        ...(result.longestSideM != null
          ? [{ label: 'longest side of the error triangle', text: `${result.longestSideM} m` }]
          : []),
      ],
      findings: [...marks.findings, ...result.findings.map(({ finding }) => finding)],
    };
  },
};

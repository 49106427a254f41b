import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import { type Calculator, number } from '../calculator';
import { rowsOf } from '../rowsOf';
import { instant } from './sun';

export const tide: Calculator = {
  key: 'tide',
  title: 'Tide',
  what: 'High and low water from the harmonic constants of a place. For safety use the local tables.',
  boxes: [
    number('meanLevelM', 'Mean level above the datum', 'm', '2.9'),
    {
      key: 'harmonics',
      label: 'Constituent (M2, S2, N2, K1, O1), amplitude in m, phase lag in °: one a line',
      kind: 'table',
      initial: 'M2 1.9 310\nS2 0.6 350\nN2 0.4 290\nK1 0.1 190\nO1 0.1 40',
    },
    { key: 'at', label: 'From day and local time', kind: 'text', initial: '2026-08-12 00:00' },
    { key: 'offset', label: 'Offset from UTC', kind: 'text', initial: '+01:00' },
  ],
  ask: async (values) => {
    const constants = rowsOf(values.text('harmonics'), 'a constituent with amplitude and phase lag', 1, 3);
    const result = await ask('tide', {
      meanLevelM: values.number('meanLevelM') ?? 0,
      harmonics: constants.rows.map(([name, amplitude, lag]) => ({
        constituent: name?.toUpperCase(),
        amplitudeM: Number(amplitude),
        phaseLagDeg: Number(lag),
      })),
      from: instant(values.text('at'), values.text('offset')),
    } as OperationRequest<'tide'>);
    return {
      outcomes: [
        ...(result.heightM != null
          ? [{ label: 'at the first instant', text: `${result.heightM.toFixed(2)} m`, working: result.working }]
          : []),
        ...(result.text ? [{ label: 'the next 25 h', text: result.text }] : []),
      ],
      findings: [...constants.findings, ...result.findings],
    };
  },
};

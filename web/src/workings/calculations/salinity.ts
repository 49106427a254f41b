import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import { type Calculator, number } from '../calculator';

export const salinity: Calculator = {
  key: 'salinity',
  title: 'Salinity',
  what: 'Salinity by the practical scale, and conductance at 25 °C, from what a meter showed.',
  boxes: [
    number('value', 'As the meter showed it', '', '35.7'),
    {
      key: 'as',
      label: 'It is',
      kind: 'choice',
      options: [
        ['mS/cm', 'mS/cm, not compensated'],
        ['µS/cm-25', 'µS/cm at 25 °C'],
        ['ratio', 'ratio to sea water'],
      ],
      initial: 'mS/cm',
    },
    number('temperatureC', 'Water', '°C', '12'),
    number('pressureDbar', 'Depth as pressure', 'dbar', '0'),
  ],
  ask: async (values) => {
    const result = await ask('salinity', {
      value: values.number('value'),
      as: values.text('as'),
      temperatureC: values.number('temperatureC'),
      pressureDbar: values.number('pressureDbar'),
    } as OperationRequest<'salinity'>);
    return {
      outcomes: [
        { label: 'salinity', text: result.text ?? 'cannot be worked out', working: result.working },
        ...(result.specificUsCm != null
          ? [{ label: 'specific conductance', text: `${Math.round(result.specificUsCm)} µS/cm at 25 °C` }]
          : []),
        ...(result.workingSalinity != null
          ? [{ label: 'for oxygen, by conductance', text: `salinity ${result.workingSalinity.toFixed(3)}` }]
          : []),
      ],
      findings: result.findings,
    };
  },
};

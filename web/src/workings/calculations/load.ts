import { ask } from '../../field/core';
import { type Calculator, number } from '../calculator';

export const load: Calculator = {
  key: 'load',
  title: 'Load',
  what: 'What a stream carries in a day.',
  boxes: [
    number('concentrationMgL', 'Concentration', 'mg/L', '0.08'),
    number('flow', 'Flow', '', '1.4'),
    {
      key: 'unit',
      label: 'Unit of the flow',
      kind: 'choice',
      options: [
        ['m³/s', 'm³/s'],
        ['L/s', 'L/s'],
        ['ft³/s', 'ft³/s'],
      ],
      initial: 'm³/s',
    },
  ],
  ask: async (values) => {
    const result = await ask('load', {
      concentrationMgL: values.number('concentrationMgL') ?? 0,
      flow: values.text('flow'),
      unit: values.text('unit'),
    });
    return {
      outcomes: [{ label: 'load', text: result.text ?? 'cannot be worked out', working: result.working }],
      findings: result.finding ? [result.finding] : [],
    };
  },
};

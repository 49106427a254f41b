import { ask } from '../../field/core';
import { type Calculator, number } from '../calculator';

export const net: Calculator = {
  key: 'net',
  title: 'Net volume',
  what: 'How much water went through a plankton net.',
  boxes: [
    number('mouthDiameterCm', 'Mouth, across', 'cm', '30'),
    number('towM', 'Tow', 'm', '10'),
    number('efficiencyPercent', 'Efficiency', '%', '100'),
    number('lineAngleDeg', 'Lean of the line', '°', '0'),
  ],
  ask: async (values) => {
    const result = await ask('net-volume', {
      mouthDiameterCm: values.number('mouthDiameterCm') ?? 0,
      towM: values.number('towM') ?? 0,
      efficiencyPercent: values.number('efficiencyPercent') ?? 100,
      lineAngleDeg: values.number('lineAngleDeg') ?? 0,
    });
    return {
      outcomes: [{ label: 'through the net', text: result.text ?? 'cannot be worked out', working: result.working }],
      findings: result.findings,
    };
  },
};

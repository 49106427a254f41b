import { ask } from '../../field/core';
import { type Calculator, number } from '../calculator';

export const density: Calculator = {
  key: 'density',
  title: 'Density',
  what: 'How heavy water is, by its temperature and its salt.',
  boxes: [number('temperatureC', 'Water', '°C', '18.5'), number('salinity', 'Salinity', '', '0')],
  ask: async (values) => {
    const result = await ask('density', {
      temperatureC: values.number('temperatureC') ?? 0,
      salinity: values.number('salinity') ?? 0,
    });
    return {
      outcomes: [{ label: 'density', text: result.text ?? 'cannot be worked out', working: result.working }],
      findings: result.findings,
    };
  },
};

import type { OperationRequest } from '../../api/client';
import { compute } from '../../field/core';
import { type Calculator, number } from '../calculator';

export const oxygen: Calculator = {
  key: 'oxygen',
  title: 'Oxygen',
  what: 'mg/L into per cent of saturation at the station, or back.',
  boxes: [
    number('value', 'As the meter showed it', '', '8.4'),
    {
      key: 'unit',
      label: 'Its unit',
      kind: 'choice',
      options: [
        ['mg/L', 'mg/L'],
        ['%', '%'],
      ],
      initial: 'mg/L',
    },
    number('temperatureC', 'Water', '°C', '18'),
    number('salinity', 'Salinity', '', '0'),
    number('altitudeM', 'Altitude', 'm', '112'),
  ],
  ask: async (values) => {
    const result = await compute('oxygen', {
      value: values.number('value'),
      unit: values.text('unit'),
      temperatureC: values.number('temperatureC'),
      salinity: values.number('salinity') ?? 0,
      altitudeM: values.number('altitudeM') ?? 0,
    } as OperationRequest<'oxygen'>);
    return {
      outcomes: [
        {
          label: 'oxygen',
          text: [
            result.mgPerL != null && `${result.mgPerL.toFixed(2)} mg/L`,
            result.percent != null && `${result.percent.toFixed(1)} %`,
          ]
            .filter(Boolean)
            .join(', '),
          working: result.working,
        },
      ],
      findings: result.findings,
    };
  },
};

import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import { type Calculator, number, numberIfKnown } from '../calculator';

export const oxygen: Calculator = {
  key: 'oxygen',
  title: 'Oxygen',
  what: 'mg/L, per cent of saturation at the station, partial pressure and µmol: readings of one thing.',
  boxes: [
    number('value', 'As the meter showed it', '', '8.4'),
    {
      key: 'unit',
      label: 'Its unit',
      kind: 'choice',
      options: [
        ['mg/L', 'mg/L'],
        ['%', '%'],
        ['kPa', 'kPa'],
        ['µmol/L', 'µmol/L'],
        ['µmol/kg', 'µmol/kg'],
      ],
      initial: 'mg/L',
    },
    number('temperatureC', 'Water', '°C', '18'),
    number('salinity', 'Salinity', '', '0'),
    number('altitudeM', 'Altitude', 'm', '112'),
    numberIfKnown('pressureKpa', 'Barometer', 'kPa'),
    {
      key: 'barometer',
      label: 'The barometer’s number is',
      kind: 'choice',
      options: [
        ['station', 'read at the station'],
        ['report', 'from the weather report'],
      ],
      initial: 'station',
    },
  ],
  ask: async (values) => {
    const result = await ask('oxygen', {
      value: values.number('value'),
      unit: values.text('unit'),
      temperatureC: values.number('temperatureC'),
      salinity: values.number('salinity') ?? 0,
      altitudeM: values.number('altitudeM') ?? 0,
      pressureKpa: values.number('pressureKpa') ?? null,
      fromWeatherReport: values.text('barometer') === 'report',
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
        ...(result.partialPressureKpa != null && result.umolPerL != null && result.umolPerKg != null
          ? [
              { label: 'partial pressure', text: `${result.partialPressureKpa.toFixed(2)} kPa` },
              { label: 'amount', text: `${result.umolPerL.toFixed(1)} µmol/L, ${result.umolPerKg.toFixed(1)} µmol/kg` },
            ]
          : []),
      ],
      findings: result.findings,
    };
  },
};

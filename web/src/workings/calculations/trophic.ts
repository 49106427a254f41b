import type { OperationRequest } from '../../api/client';
import { compute } from '../../field/core';
import { type Calculator, number } from '../calculator';

export const trophic: Calculator = {
  key: 'trophic',
  title: 'Trophic state',
  what: 'The index of clarity, chlorophyll and phosphorus, each by itself.',
  boxes: [
    number('clarityM', 'Clarity', 'm', '4.7'),
    number('chlorophyllUgL', 'Chlorophyll a', 'µg/L', '5.9'),
    number('phosphorusUgL', 'Total phosphorus', 'µg/L', '17'),
  ],
  ask: async (values) => {
    const result = await compute('trophic', {
      clarityM: values.number('clarityM'),
      chlorophyllUgL: values.number('chlorophyllUgL'),
      phosphorusUgL: values.number('phosphorusUgL'),
    } as OperationRequest<'trophic'>);
    return {
      outcomes: [
        ...result.indices.map((index) => ({
          label: `by ${index.of}`,
          text: `${index.index}, ${index.class}`,
          working: index.working,
        })),
        ...result.reading.map((words) => ({ label: '', text: words })),
      ],
      findings: result.findings,
    };
  },
};

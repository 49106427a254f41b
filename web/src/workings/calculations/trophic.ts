import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import { type Calculator, numberIfKnown } from '../calculator';

export const trophic: Calculator = {
  key: 'trophic',
  title: 'Trophic state',
  what: 'The index of clarity, chlorophyll and phosphorus, each by itself.',
  boxes: [
    numberIfKnown('clarityM', 'Clarity', 'm', '4.7'),
    numberIfKnown('chlorophyllUgL', 'Chlorophyll a', 'µg/L', '5.9'),
    numberIfKnown('phosphorusUgL', 'Total phosphorus', 'µg/L', '17'),
  ],
  ask: async (values) => {
    const result = await ask('trophic', {
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

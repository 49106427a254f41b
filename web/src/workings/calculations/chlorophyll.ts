import { ask } from '../../field/core';
import { type Calculator, number } from '../calculator';

export const chlorophyll: Calculator = {
  key: 'chlorophyll',
  title: 'Chlorophyll',
  what: 'Chlorophyll a from absorbances of an extract, before and after acid.',
  boxes: [
    {
      key: 'solvent',
      label: 'Extracted in',
      kind: 'choice',
      options: [
        ['monochromatic', 'acetone'],
        ['hot-ethanol', 'hot ethanol'],
      ],
      initial: 'monochromatic',
    },
    number('a664b', 'Before acid: 664 nm, in ethanol 665', '', '0.182'),
    number('a750b', '750 nm before acid', '', '0.002'),
    number('a665a', '665 nm after acid', '', '0.118'),
    number('a750a', '750 nm after acid', '', '0.003'),
    number('extractMl', 'Extract', 'mL', '10'),
    number('pathCm', 'Light path', 'cm', '1'),
    number('filteredMl', 'Filtered', 'mL', '200'),
  ],
  ask: async (values) => {
    const result = await ask('chlorophyll', {
      readings: {
        method: values.text('solvent') as 'monochromatic' | 'hot-ethanol',
        extractMl: values.text('extractMl'),
        pathCm: values.text('pathCm'),
        at664Before: values.text('a664b'),
        at665Before: values.text('a664b'),
        at750Before: values.text('a750b'),
        at665After: values.text('a665a'),
        at750After: values.text('a750a'),
      },
      filteredMl: values.number('filteredMl') ?? 0,
    });
    return {
      outcomes: [
        {
          label: 'chlorophyll a',
          text: result.chlorophyllUgL == null ? 'cannot be worked out' : `${result.chlorophyllUgL.toFixed(2)} µg/L`,
          working: result.working,
        },
      ],
      findings: result.findings,
    };
  },
};

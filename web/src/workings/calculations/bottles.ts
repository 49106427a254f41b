import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import { type Calculator, LENGTHS, number, numberIfKnown } from '../calculator';

const PLACES = [
  ['surface', 'at the surface'],
  ['deep', 'deep'],
  ['layer-1', 'upper layer'],
  ['layer-2', 'thermocline'],
  ['layer-3', 'lower layer'],
] as const;

export const bottles: Calculator = {
  key: 'bottles',
  title: 'Bottle depth',
  what: 'How deep a bottle is closed: never within the clearance of the bottom.',
  boxes: [
    { key: 'place', label: 'Which bottle', kind: 'choice', options: PLACES, initial: 'deep' },
    { key: 'unit', label: 'Soundings are in', kind: 'choice', options: LENGTHS, initial: 'm' },
    { key: 'sounding', label: 'Sounding', kind: 'text', initial: '14.7' },
    number('clearanceM', 'Off the bottom', 'm', '1'),
    numberIfKnown('thermoclineM', 'Thermocline', 'm', '6.4'),
    numberIfKnown('topM', 'Top of the metalimnion', 'm', '5.0'),
    numberIfKnown('bottomM', 'Its bottom', 'm', '8.5'),
  ],
  ask: async (values) => {
    const result = await ask('bottle-depth', {
      place: values.text('place'),
      sounding: { written: values.text('sounding'), unit: values.text('unit') },
      clearanceM: values.number('clearanceM') ?? 1,
      thermoclineM: values.number('thermoclineM'),
      topM: values.number('topM'),
      bottomM: values.number('bottomM'),
      profileRead: values.number('thermoclineM') !== undefined,
    } as OperationRequest<'bottle-depth'>);
    return {
      outcomes: [{ label: 'closed at', text: result.text ?? result.waits ?? 'cannot be worked out', working: result.working }],
      findings: result.findings,
    };
  },
};

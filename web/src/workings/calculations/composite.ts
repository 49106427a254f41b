import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import { type Calculator, LENGTHS, number, numberIfKnown } from '../calculator';

export const composite: Calculator = {
  key: 'composite',
  title: 'Composite depth',
  what: 'How deep to take a composite: so many times the clarity, kept off the bottom.',
  boxes: [
    numberIfKnown('clarityM', 'Clarity, not rounded', 'm', '3.4'),
    number('factor', 'Times the clarity', '', '2.5'),
    { key: 'unit', label: 'Soundings are in', kind: 'choice', options: LENGTHS, initial: 'm' },
    { key: 'sounding', label: 'Sounding', kind: 'text', initial: '9.6' },
    { key: 'clearance', label: 'Off the bottom', kind: 'text', initial: '1' },
  ],
  ask: async (values) => {
    const unit = values.text('unit');
    const result = await ask('composite-depth', {
      settings: {
        depthRule: 'factor',
        factor: values.number('factor') ?? 2.5,
        clearance: { written: values.text('clearance'), unit },
        method: 'weighted-bottle',
      },
      clarityMeanM: values.number('clarityM'),
      sounding: { written: values.text('sounding'), unit },
    } as OperationRequest<'composite-depth'>);
    return {
      outcomes: [{ label: 'composite down to', text: result.text ?? 'cannot be worked out', working: result.working }],
      findings: result.findings,
    };
  },
};

import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import { type Calculator, LENGTHS } from '../calculator';

const SCHOOLS = [
  ['mean', 'lost and seen again'],
  ['disappear', 'lost only'],
  ['reappear', 'seen again only'],
] as const;

const ROUNDED = [
  ['0.1-m', '0.1 m'],
  ['0.05-m', '0.05 m'],
  ['0.01-m', '0.01 m'],
  ['quarter-ft', '¼ ft'],
  ['half-ft', '½ ft'],
  ['1-in', '1 in'],
] as const;

export const clarity: Calculator = {
  key: 'clarity',
  title: 'Clarity',
  what: 'Clarity (Secchi depth) from the marks of the line, by the method that reads them.',
  boxes: [
    { key: 'endPoint', label: 'What counts', kind: 'choice', options: SCHOOLS, initial: 'mean' },
    { key: 'unit', label: 'The line is marked in', kind: 'choice', options: LENGTHS, initial: 'm' },
    {
      key: 'marks',
      label: 'One lowering a line: lost; seen again. Or the one mark that counts',
      kind: 'table',
      initial: '4.3; 4.1\n4.4; 4.2',
    },
    { key: 'roundTo', label: 'Reported to', kind: 'choice', options: ROUNDED, initial: '0.1-m' },
  ],
  ask: async (values) => {
    const endPoint = values.text('endPoint');
    const unit = values.text('unit');
    const lowerings = values
      .text('marks')
      .split('\n')
      // One blank stays inside a mark: 12 9 is twelve feet nine.
      .map((line) => line.trim().split(/[\t;]| {2,}/))
      .filter(([first]) => first);
    const events =
      endPoint === 'mean' ? ['disappeared', 'reappeared'] : endPoint === 'disappear' ? ['disappeared'] : ['reappeared'];
    const result = await ask('clarity', {
      settings: {
        endPoint,
        readings: lowerings.length,
        observers: 'same',
        roundTo: values.text('roundTo'),
      },
      marks: lowerings.flatMap((parts, i) =>
        events.flatMap((event, at) =>
          parts[at] ? [{ lowering: i + 1, event, depth: { written: parts[at].trim(), unit } }] : [],
        ),
      ),
    } as OperationRequest<'clarity'>);
    return {
      outcomes: [{ label: 'clarity', text: result.text ?? 'cannot be worked out', working: result.working }],
      findings: result.findings,
    };
  },
};

import type { OperationRequest } from '../../api/client';
import { compute } from '../../field/core';
import { type Calculator, LENGTHS } from '../calculator';

const SCHOOLS = [
  ['mean', 'lost and seen again'],
  ['disappear', 'lost only'],
  ['reappear', 'seen again only'],
] as const;

export const clarity: Calculator = {
  key: 'clarity',
  title: 'Clarity',
  what: 'Clarity (Secchi depth) from the marks of the line, by the school that reads them.',
  boxes: [
    { key: 'endPoint', label: 'What counts', kind: 'choice', options: SCHOOLS, initial: 'mean' },
    { key: 'unit', label: 'The line is marked in', kind: 'choice', options: LENGTHS, initial: 'm' },
    {
      key: 'marks',
      label: 'One lowering a line: lost, seen again; or the one mark that counts',
      kind: 'table',
      initial: '4.3 4.1\n4.4 4.2',
    },
  ],
  ask: async (values) => {
    const endPoint = values.text('endPoint');
    const unit = values.text('unit');
    const lowerings = values
      .text('marks')
      .split('\n')
      .map((line) => line.trim().split(/[\t;]| {2,}|(?<=\d) (?=\d)/))
      .filter(([first]) => first);
    const events =
      endPoint === 'mean' ? ['disappeared', 'reappeared'] : endPoint === 'disappear' ? ['disappeared'] : ['reappeared'];
    const result = await compute('clarity', {
      settings: {
        endPoint,
        readings: lowerings.length,
        observers: 'same',
        roundTo: unit === 'ft' ? 'quarter-ft' : '0.1-m',
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

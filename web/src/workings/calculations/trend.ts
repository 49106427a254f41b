import type { OperationRequest } from '../../api/client';
import { ask } from '../../field/core';
import type { Calculator } from '../calculator';

const EXAMPLE = Array.from({ length: 12 }, (_, i) => `${2014 + i}-07-15 ${(5.6 - 0.08 * i + (i % 3) * 0.1).toFixed(2)}`);

export const trend: Calculator = {
  key: 'trend',
  title: 'Trend of a table',
  what: 'Mann–Kendall, Theil–Sen and Seasonal Kendall of pasted values.',
  boxes: [
    {
      key: 'points',
      label: 'Day (2013-06-15) or year, and value: one a line; > or < before a value that is only a limit',
      kind: 'table',
      initial: EXAMPLE.join('\n'),
    },
  ],
  ask: async (values) => {
    const { points, findings } = await ask('read-series', { text: values.text('points') });
    const series = {
      subject: 'value',
      points,
      window: { fromMonth: 1, untilMonth: 12, leastReadings: 1 },
    } as OperationRequest<'trend'>;
    const [annual, seasonal] = await Promise.all([ask('trend', series), ask('trend', { ...series, test: 'seasonal' })]);
    return {
      outcomes: [
        { label: `${points.length} values`, text: annual.headline, working: annual.working },
        { label: '', text: annual.detail },
        { label: 'month by month', text: seasonal.detail, working: seasonal.working },
        ...(annual.wouldKnow ? [{ label: 'would we know', text: annual.wouldKnow.text }] : []),
      ],
      findings: [...findings, ...annual.findings],
    };
  },
};

import type { Finding, OperationRequest, Schemas, Working } from '../api/client';
import { compute } from '../field/core';
import { rowsOf } from './rowsOf';

/** A box of a calculation. */
export interface Box {
  key: string;
  label: string;
  unit?: string;
  kind: 'number' | 'choice' | 'table';
  options?: readonly (readonly [string, string])[];
  initial: string;
  hint?: string;
}

/** A number that a calculation gave. */
export interface Outcome {
  label: string;
  text: string;
  working?: Working | null | undefined;
}

export interface Answer {
  outcomes: Outcome[];
  findings: readonly Finding[];
}

export interface Calculator {
  key: string;
  title: string;
  what: string;
  boxes: readonly Box[];
  /** Asks Core; the values are what stands in the boxes, numbers as numbers, empty ones left out. */
  ask(values: Values): Promise<Answer>;
}

export interface Values {
  number(key: string): number | undefined;
  text(key: string): string;
}

const number = (key: string, label: string, unit: string, initial = '', hint?: string): Box => ({
  key,
  label,
  unit,
  kind: 'number',
  initial,
  ...(hint && { hint }),
});

/** Calculations of Core, each by itself. */
export const CALCULATORS: readonly Calculator[] = [
  {
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
  },
  {
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
  },
  {
    key: 'chlorophyll',
    title: 'Chlorophyll',
    what: 'Chlorophyll a from absorbances of an extract, before and after acid.',
    boxes: [
      number('a664b', '664 nm before acid', '', '0.182'),
      number('a750b', '750 nm before acid', '', '0.002'),
      number('a665a', '665 nm after acid', '', '0.118'),
      number('a750a', '750 nm after acid', '', '0.003'),
      number('extractMl', 'Extract', 'mL', '10'),
      number('pathCm', 'Light path', 'cm', '1'),
      number('filteredMl', 'Filtered', 'mL', '200'),
    ],
    ask: async (values) => {
      const result = await compute('chlorophyll', {
        readings: {
          method: 'monochromatic',
          extractMl: values.text('extractMl'),
          pathCm: values.text('pathCm'),
          at664Before: values.text('a664b'),
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
  },
  {
    key: 'profile',
    title: 'Stratification',
    what: 'Thermocline, mixed layer, where oxygen ends, and with areas the stability, of a pasted profile.',
    boxes: [
      {
        key: 'levels',
        label: 'Depth in m, °C, mg/L: one level a line',
        kind: 'table',
        initial: '0 20.1 9.0\n2 20.0 9.0\n4 19.6 9.1\n6 12.4 7.8\n8 8.1 5.2\n10 7.0 2.1\n12 6.8 0.6',
      },
      {
        key: 'areas',
        label: 'Depth in m, area in m²: one a line; may be left empty',
        kind: 'table',
        initial: '0 420000\n6 240000\n12 40000',
      },
    ],
    ask: async (values) => {
      const levels = rowsOf(values.text('levels'));
      const areas = rowsOf(values.text('areas'));
      const result = await compute('profile', {
        levels: levels.map(([depthM, temperatureC, oxygenMgL]) => ({ depthM, temperatureC, oxygenMgL })),
        hypsography: areas.length > 1 ? areas.map(([depthM, areaM2]) => ({ depthM, areaM2 })) : undefined,
      } as unknown as OperationRequest<'profile'>);
      return {
        outcomes: result.figures.map((figure) => ({ label: figure.label, text: figure.text, working: figure.working })),
        findings: result.findings,
      };
    },
  },
  {
    key: 'load',
    title: 'Load',
    what: 'What a stream carries in a day.',
    boxes: [
      number('concentrationMgL', 'Concentration', 'mg/L', '0.08'),
      number('flow', 'Flow', '', '1.4'),
      {
        key: 'unit',
        label: 'Unit of the flow',
        kind: 'choice',
        options: [
          ['m³/s', 'm³/s'],
          ['L/s', 'L/s'],
        ],
        initial: 'm³/s',
      },
    ],
    ask: async (values) => {
      const result = await compute('load', {
        concentrationMgL: values.number('concentrationMgL') ?? 0,
        flow: values.text('flow'),
        unit: values.text('unit'),
      });
      return {
        outcomes: [{ label: 'load', text: result.text ?? 'cannot be worked out', working: result.working }],
        findings: result.finding ? [result.finding] : [],
      };
    },
  },
  {
    key: 'trend',
    title: 'Trend of a table',
    what: 'Mann–Kendall, Theil–Sen and Seasonal Kendall of pasted values.',
    boxes: [
      {
        key: 'points',
        label: 'Date (2013-06-15) and value: one a line; > or < before a value that is only a limit',
        kind: 'table',
        initial: Array.from({ length: 12 }, (_, i) => `${2014 + i}-07-15 ${(5.6 - 0.08 * i + (i % 3) * 0.1).toFixed(2)}`).join(
          '\n',
        ),
      },
    ],
    ask: async (values) => {
      const points = values
        .text('points')
        .split('\n')
        .flatMap((line, i) => {
          const found = /^\s*(\d{4}-\d{2}-\d{2})[\s,;]+([<>]?)\s*(-?\d+(?:[.,]\d+)?)\s*$/.exec(line);
          return found
            ? [
                {
                  visit: `00000000-0000-0000-0000-${String(i).padStart(12, '0')}`,
                  day: found[1],
                  value: Number(found[3]?.replace(',', '.')),
                  censored: found[2] === '>' ? 'above' : found[2] === '<' ? 'below' : 'none',
                  usable: true,
                  signedOff: true,
                },
              ]
            : [];
        });
      const ask = {
        subject: 'value',
        points,
        window: { fromMonth: 1, untilMonth: 12, leastReadings: 1 },
      } as unknown as OperationRequest<'trend'>;
      const result: Schemas['TrendResult'] = await compute('trend', ask);
      const seasonal: Schemas['TrendResult'] = await compute('trend', { ...ask, test: 'seasonal' });
      return {
        outcomes: [
          { label: `${points.length} values`, text: result.headline, working: result.working },
          { label: '', text: result.detail },
          { label: 'month by month', text: seasonal.detail, working: seasonal.working },
          ...(result.wouldKnow ? [{ label: 'would we know', text: result.wouldKnow.text }] : []),
        ],
        findings: result.findings,
      };
    },
  },
];

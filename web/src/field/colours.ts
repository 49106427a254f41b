import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { compute } from './core';

let chart: Promise<Schemas['ColourStep'][]> | undefined;

/** The chart of water colours, as Core has it. */
export function useColourChart(): Schemas['ColourStep'][] {
  const [steps, setSteps] = useState<Schemas['ColourStep'][]>([]);
  useEffect(() => {
    chart ??= compute('colour', {}).then((answer) => answer.chart);
    void chart.then(setSteps);
  }, []);
  return steps;
}

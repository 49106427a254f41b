import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { compute } from './core';

type Chart = Pick<Schemas['ColourResult'], 'chart' | 'words'>;

let chart: Promise<Chart> | undefined;

/** The chart of water colours and the words for them, as Core has them. */
export function useColourChart(): Chart {
  const [answer, setAnswer] = useState<Chart>({ chart: [], words: [] });
  useEffect(() => {
    chart ??= compute('colour', {});
    void chart.then(setAnswer);
  }, []);
  return answer;
}

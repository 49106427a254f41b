import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import { queries } from '../api/queries';
import { compute } from './core';

export type Box = Schemas['Box'];

const BOXES = {
  queryKey: ['core', 'boxes'],
  queryFn: async () => new Map((await compute('boxes', {})).boxes.map((box) => [box.code, box])),
  staleTime: Number.POSITIVE_INFINITY,
  gcTime: Number.POSITIVE_INFINITY,
};

/** Asks Core once what the boxes ask; a page that is shown after that has all of them from the first. */
export async function readBoxes(): Promise<void> {
  await queries.ensureQueryData(BOXES);
}

/** What a box asks and which answers it takes; nothing until Core has said so. */
export function useBox(code: string): Box | undefined {
  return useQuery(BOXES, queries).data?.get(code);
}

/** The words for what is kept in a box; what no answer of it is stands as it was kept. */
export function useWords(code: string): (kept: string) => string {
  const choices = useBox(code)?.choices;
  return (kept) => choices?.find((choice) => choice.code === kept)?.words ?? kept;
}

/** The answers of a box by what is kept of them, for a list to choose from. */
export function useNames<Kept extends string>(code: string): Record<Kept, string> {
  const choices = useBox(code)?.choices ?? [];
  return Object.fromEntries(choices.map((choice) => [choice.code, choice.words])) as Record<Kept, string>;
}

/** True once Core has said what the boxes ask, or cannot say it on this device. */
export function useBoxesKnown(): boolean {
  return useQuery(BOXES, queries).isFetched;
}

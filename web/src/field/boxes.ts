import type { Schemas } from '../api/client';
import { computeAhead, useComputed } from './useComputed';

export type Box = Schemas['Box'];

/** Asks Core once what the boxes ask; a page that is shown after that has all of them from the first. */
export const readBoxes = (): Promise<void> => computeAhead('boxes', {});

/** What a box asks and which answers it takes; nothing until Core has said so. */
export function useBox(code: string): Box | undefined {
  return useComputed('boxes', {}).data?.boxes.find((box) => box.code === code);
}

/** True once Core has said what the boxes ask, or cannot say it on this device. */
export function useBoxesKnown(): boolean {
  const { data, error } = useComputed('boxes', {});
  return data !== undefined || error !== undefined;
}

/** The words for what is kept in a box; what no answer of it is stands as it was kept. */
export function useWords(code: string): (kept: string) => string {
  const choices = useBox(code)?.choices;
  return (kept) => choices?.find((choice) => choice.code === kept)?.words ?? kept;
}

/** A protocol in words; one of the group’s own by its name. */
export function useProtocolName(): (protocol: string) => string {
  const words = useWords('plan.protocol');
  return (protocol) => (protocol.startsWith('own-') ? protocol.slice(4).replaceAll('-', ' ') : words(protocol));
}

/** The answers of a box by what is kept of them, for a list to choose from. */
export function useNames<Kept extends string>(code: string): Record<Kept, string> {
  const choices = useBox(code)?.choices ?? [];
  return Object.fromEntries(choices.map((choice) => [choice.code, choice.words])) as Record<Kept, string>;
}

import { keepPreviousData, skipToken, useQuery } from '@tanstack/react-query';
import type { Asked } from './asked';
import { queries } from './queries';

const ids = new WeakMap<File, number>();
let last = 0;

/** Which file it is: one that is chosen again may say something else. */
export function idOf(file: File): number {
  const id = ids.get(file) ?? ++last;
  ids.set(file, id);
  return id;
}

/** What the server makes of a file, asked again when anything of the question changes; until it answers, what it made before. */
export function useLook<T>(file: File, of: readonly unknown[], look: (() => Promise<Asked<T>>) | undefined): Asked<T> {
  const { data } = useQuery(
    {
      queryKey: ['file', idOf(file), ...of],
      queryFn: look ?? skipToken,
      placeholderData: look && keepPreviousData,
      gcTime: 0,
    },
    queries,
  );
  return data ?? { data: undefined, problem: '' };
}

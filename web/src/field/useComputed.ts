import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import type { OperationName, OperationRequest, OperationResponse } from '../api/client';
import { OF_CORE, queries } from '../api/queries';
import { compute } from './core';

const KEPT_MS = 60_000;

export interface Computed<Response> {
  /** What Core answered; of a question that changed the answer before it, until the new one is there. */
  data: Response | undefined;
  /** Why it could not be worked out. */
  error: string | undefined;
  /** True while what is shown does not yet belong to the question. */
  stale: boolean;
}

const of = <Name extends OperationName>(
  operation: Name,
  request: OperationRequest<Name> | undefined,
  key: readonly unknown[] = [request],
) => ({
  queryKey: [OF_CORE, operation, ...key],
  queryFn: () => compute(operation, request as OperationRequest<Name>),
  staleTime: Number.POSITIVE_INFINITY,
  gcTime: KEPT_MS,
});

/** Asks ahead what pages will show, so that it stands there from the first; it is kept for as long as the application runs. */
export async function computeAhead<Name extends OperationName>(operation: Name, request: OperationRequest<Name>): Promise<void> {
  await queries.ensureQueryData({ ...of(operation, request), gcTime: Number.POSITIVE_INFINITY });
}

/**
 * What an operation of Core says on this device; the same question is worked out once. Without a question it says nothing. A key
 * stands for a question that is too long to be compared at each drawing.
 */
export function useComputed<Name extends OperationName>(
  operation: Name,
  request: OperationRequest<Name> | undefined,
  key?: readonly unknown[],
): Computed<OperationResponse<Name>> {
  const { data, error, isPlaceholderData } = useQuery(
    {
      ...of(operation, request, key),
      enabled: request !== undefined,
      placeholderData: request === undefined ? undefined : keepPreviousData,
    },
    queries,
  );
  return { data: request === undefined ? undefined : data, error: error?.message, stale: isPlaceholderData };
}

/** The same of several questions to one operation; nothing until each is answered. */
export function useComputedAll<Name extends OperationName>(
  operation: Name,
  requests: OperationRequest<Name>[],
): OperationResponse<Name>[] {
  return useQueries(
    {
      queries: requests.map((request) => ({ ...of(operation, request), placeholderData: keepPreviousData })),
      combine: (answers) => {
        const known = answers.flatMap(({ data }) => (data === undefined ? [] : [data]));
        return known.length === answers.length ? known : [];
      },
    },
    queries,
  );
}

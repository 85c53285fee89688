import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { ask, keys, TIME_RUNS_MS } from '../../shared/api';

/** The moments a conversation's line offers for setting aside; they move on, so they are asked for again. */
export const momentsQuery = (id: number, wanted: boolean) =>
  queryOptions({
    queryKey: ['moments', id] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/moments', { path: { id } }),
    enabled: wanted,
    staleTime: 0,
  });

export const scriptQuery = (id: number) =>
  infiniteQueryOptions({
    queryKey: keys.script(id),
    queryFn: ({ pageParam }) =>
      ask('GET', '/api/conversations/{id}/script', { path: { id }, query: { limit: 50, before: pageParam } }),
    initialPageParam: '',
    getNextPageParam: (page) => page.earlier,
  });

/** To whom a conversation can be handed now. */
export const receiversQuery = (id: number) =>
  queryOptions({
    queryKey: ['receivers', id] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/hand-to', { path: { id } }),
    staleTime: 0,
  });

/** The other conversations with the same customer or number. */
export const elsewhereQuery = (id: number) =>
  queryOptions({
    queryKey: ['elsewhere', id] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/elsewhere', { path: { id } }),
    refetchInterval: TIME_RUNS_MS,
    staleTime: 0,
  });

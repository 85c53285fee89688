import { queryOptions } from '@tanstack/react-query';
import { ask, keys, TIME_RUNS_MS } from '../shared/api';

export const jumpQuery = (words: string) =>
  queryOptions({
    queryKey: [...keys.jump, words] as const,
    queryFn: () => ask('GET', '/api/conversations/jump', { query: { words } }),
    enabled: words.trim() !== '',
    staleTime: 0,
  });

/** What keeps the program from its work, for leads. */
export const troublesQuery = (leads: boolean) =>
  queryOptions({
    queryKey: keys.troubles,
    queryFn: () => ask('GET', '/api/office/troubles'),
    enabled: leads,
    refetchInterval: 2 * TIME_RUNS_MS,
  });

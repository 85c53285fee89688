import { queryOptions } from '@tanstack/react-query';
import { ask, keys, TIME_RUNS_MS } from '../../shared/api';

/** Who is away now, until when, and who covers. */
export const awayQuery = queryOptions({
  queryKey: [...keys.staff, 'away'] as const,
  queryFn: () => ask('GET', '/api/staff/away'),
  refetchInterval: 2 * TIME_RUNS_MS,
});

export const ribbonQuery = (sentence: string) =>
  queryOptions({
    queryKey: [...keys.ribbon, sentence] as const,
    queryFn: () => ask('GET', '/api/conversations/ribbon', { query: { sentence } }),
    refetchInterval: TIME_RUNS_MS,
  });

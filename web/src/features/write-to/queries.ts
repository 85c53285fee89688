import { queryOptions } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

/** The lines a conversation can be begun on. */
export const writeLinesQuery = queryOptions({
  queryKey: [...keys.lines, 'to write from'] as const,
  queryFn: () => ask('GET', '/api/write-to/lines'),
  staleTime: Infinity,
});

import { queryOptions } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

/** The lines one can begin a conversation on. */
export const writeLinesQuery = queryOptions({
  queryKey: [...keys.lines, 'to write from'] as const,
  queryFn: () => ask('GET', '/api/write-to/lines'),
  staleTime: Infinity,
});

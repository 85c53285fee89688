import { queryOptions } from '@tanstack/react-query';
import { ask, keys, TIME_RUNS_MS } from '../../shared/api';

/** The whole front office, for leads. */
export const officeQuery = queryOptions({
  queryKey: keys.office,
  queryFn: () => ask('GET', '/api/office'),
  refetchInterval: TIME_RUNS_MS,
});

/** What someone owns that is open. */
export const workQuery = (staff: number) =>
  queryOptions({
    queryKey: [...keys.office, 'work', staff] as const,
    queryFn: () => ask('GET', '/api/office/people/{id}/work', { path: { id: staff } }),
    staleTime: 0,
  });

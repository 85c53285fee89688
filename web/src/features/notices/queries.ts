import { queryOptions } from '@tanstack/react-query';
import { ask, keys, TIME_RUNS_MS } from '../../shared/api';

export const noticesQuery = queryOptions({
  queryKey: keys.notices,
  queryFn: () => ask('GET', '/api/notices'),
  refetchInterval: TIME_RUNS_MS,
});

import { queryOptions } from '@tanstack/react-query';
import { ask, type Outage } from '../../shared/api';

const GOING_ON_MS = 1_000;

/** Whether something goes on. */
export function isBusy(outage: Outage | undefined): boolean {
  const doing = outage?.comparison?.doing;
  return doing === 'COMPARING' || doing === 'TAKING';
}

/** The last comparison with the network. */
export const outageQuery = queryOptions({
  queryKey: ['outage'] as const,
  queryFn: () => ask('GET', '/api/outage'),
  staleTime: 0,
  refetchInterval: ({ state }) => (isBusy(state.data) ? GOING_ON_MS : false),
});

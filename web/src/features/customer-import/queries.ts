import { queryOptions } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

const ALL = [...keys.customers, 'imports'] as const;
const SOON_MS = 700;

/** The imports there were; looked at again and again while one is under way. */
export const importsQuery = queryOptions({
  queryKey: ALL,
  queryFn: () => ask('GET', '/api/imports'),
  staleTime: 0,
  refetchInterval: ({ state }) =>
    state.data?.some(({ state: now }) => now === 'RUNNING' || now === 'UNDOING') ? SOON_MS : false,
});

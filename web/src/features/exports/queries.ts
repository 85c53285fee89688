import { queryOptions } from '@tanstack/react-query';
import { ask } from '../../shared/api';

const MAKING_MS = 1_000;

export const EXPORTS = ['exports'] as const;

/** My exports, the newest first; asked again while one is being made. */
export const exportsQuery = queryOptions({
  queryKey: EXPORTS,
  queryFn: () => ask('GET', '/api/exports'),
  staleTime: 0,
  refetchInterval: ({ state }) =>
    state.data?.some((one) => one.state === 'WAITING' || one.state === 'RUNNING') ? MAKING_MS : false,
});

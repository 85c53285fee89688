import { queryOptions } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

export const noticeChoicesQuery = queryOptions({
  queryKey: [...keys.me, 'notices'] as const,
  queryFn: () => ask('GET', '/api/notices/choices'),
});

export const mySignInsQuery = queryOptions({
  queryKey: [...keys.me, 'sign-ins'] as const,
  queryFn: () => ask('GET', '/api/me/sign-ins'),
  staleTime: 0,
});

/** When someone is in: the signed-in person, or for a lead another one. */
export const planQuery = (staff: number | 'me') =>
  queryOptions({
    queryKey: [...keys.me, 'plan', staff] as const,
    queryFn: () =>
      staff === 'me' ? ask('GET', '/api/me/plan') : ask('GET', '/api/setup/people/{id}/plan', { path: { id: staff } }),
  });

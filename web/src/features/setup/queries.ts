import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

export const lineSetupQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.setup, 'line', id] as const,
    queryFn: () => ask('GET', '/api/setup/lines/{id}', { path: { id } }),
  });

export const countriesQuery = queryOptions({
  queryKey: ['countries'] as const,
  queryFn: () => ask('GET', '/api/setup/holidays'),
  staleTime: Infinity,
});

export const holidaysQuery = (country: string | undefined, region: string | undefined) =>
  queryOptions({
    queryKey: ['holidays', country, region] as const,
    queryFn: () => ask('GET', '/api/setup/holidays/{country}', { path: { country: country ?? '' }, query: { region } }),
    enabled: country !== undefined,
    staleTime: Infinity,
  });

export const historyQuery = infiniteQueryOptions({
  queryKey: [...keys.setup, 'history'] as const,
  queryFn: ({ pageParam }) => ask('GET', '/api/setup/history', { query: { before: pageParam || undefined } }),
  initialPageParam: 0,
  getNextPageParam: (page) => (page.length === 100 ? page[99]?.id : undefined),
  staleTime: 0,
});

/** All lines, also those whose conversations one does not see; for leads. */
export const allLinesQuery = queryOptions({
  queryKey: [...keys.setup, 'lines'] as const,
  queryFn: () => ask('GET', '/api/setup/lines'),
});

export const peopleQuery = queryOptions({
  queryKey: [...keys.setup, 'people'] as const,
  queryFn: () => ask('GET', '/api/setup/people'),
});

/** Whom a line alerts, and when; without steps, those of its team hold. */
export const lineEscalationQuery = (line: number) =>
  queryOptions({
    queryKey: [...keys.setup, 'escalation', line] as const,
    queryFn: () => ask('GET', '/api/setup/lines/{id}/escalation', { path: { id: line } }),
  });

/** Whom teams alert, of all teams that have steps: one request, however many teams there are. */
export const teamEscalationsQuery = queryOptions({
  queryKey: [...keys.setup, 'escalation', 'teams'] as const,
  queryFn: () => ask('GET', '/api/setup/teams/escalations'),
});

export const keptAsideQuery = queryOptions({
  queryKey: [...keys.setup, 'kept-aside'] as const,
  queryFn: () => ask('GET', '/api/setup/kept-aside'),
  staleTime: 0,
});

export const stuckMailQuery = queryOptions({
  queryKey: [...keys.setup, 'mail'] as const,
  queryFn: () => ask('GET', '/api/setup/mail'),
  staleTime: 0,
});

const A_PAGE = 100;

export const recordQuery = (words: string) =>
  infiniteQueryOptions({
    queryKey: [...keys.setup, 'record', words] as const,
    queryFn: ({ pageParam }) => ask('GET', '/api/setup/record', { query: { words, before: pageParam } }),
    initialPageParam: 0,
    getNextPageParam: (page) => (page.length === A_PAGE ? page[A_PAGE - 1]?.id : undefined),
    staleTime: 0,
  });

export const signInRecordQuery = infiniteQueryOptions({
  queryKey: [...keys.setup, 'sign-ins'] as const,
  queryFn: ({ pageParam }) => ask('GET', '/api/setup/sign-ins', { query: { before: pageParam } }),
  initialPageParam: 0,
  getNextPageParam: (page) => (page.length === A_PAGE ? page[A_PAGE - 1]?.id : undefined),
  staleTime: 0,
});

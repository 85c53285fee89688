import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';
import type { Order } from '../../shared/table';

export const lineSetupQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.setup, 'line', id] as const,
    queryFn: () => ask('GET', '/api/setup/lines/{id}', { path: { id } }),
  });

/** What is asked before a text goes; for leads. */
export const sendSettingsQuery = queryOptions({
  queryKey: [...keys.setup, 'sending'] as const,
  queryFn: () => ask('GET', '/api/setup/sending'),
});

/** The forms of the web site; for leads. */
export const formsQuery = queryOptions({
  queryKey: [...keys.setup, 'forms'] as const,
  queryFn: () => ask('GET', '/api/setup/forms'),
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

/** All lines, also those whose conversations the user does not see; for leads. */
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

export const costSettingsQuery = queryOptions({
  queryKey: [...keys.setup, 'costs'] as const,
  queryFn: () => ask('GET', '/api/setup/costs'),
});

export const ledgerQuery = queryOptions({
  queryKey: [...keys.setup, 'costs', 'bought'] as const,
  queryFn: () => ask('GET', '/api/setup/costs/bought'),
});

export const countryNamesQuery = queryOptions({
  queryKey: [...keys.setup, 'countries'] as const,
  queryFn: () => ask('GET', '/api/setup/countries'),
  staleTime: Infinity,
});

const A_PAGE = 100;

/** A page of a log tells where the next one begins. */
const log = {
  initialPageParam: 0,
  getNextPageParam: (page: { id: number }[]) => (page.length === A_PAGE ? page[A_PAGE - 1]?.id : undefined),
  staleTime: 0,
};

export const historyQuery = (order: Order) =>
  infiniteQueryOptions({
    queryKey: [...keys.setup, 'history', order] as const,
    queryFn: ({ pageParam }) => ask('GET', '/api/setup/history', { query: { order, from: pageParam } }),
    ...log,
  });

export const recordQuery = (words: string, order: Order) =>
  infiniteQueryOptions({
    queryKey: [...keys.setup, 'record', words, order] as const,
    queryFn: ({ pageParam }) => ask('GET', '/api/setup/record', { query: { words, order, from: pageParam } }),
    ...log,
  });

export const signInRecordQuery = (order: Order) =>
  infiniteQueryOptions({
    queryKey: [...keys.setup, 'sign-ins', order] as const,
    queryFn: ({ pageParam }) => ask('GET', '/api/setup/sign-ins', { query: { order, from: pageParam } }),
    ...log,
  });

/** Other programs and what they did lately; for leads. */
export const programsQuery = queryOptions({
  queryKey: [...keys.setup, 'programs'] as const,
  queryFn: () => ask('GET', '/api/setup/programs'),
});

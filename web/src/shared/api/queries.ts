import { hashKey, infiniteQueryOptions, keepPreviousData, type QueryKey, queryOptions } from '@tanstack/react-query';
import { ask } from './ask';
import { ApiProblem } from './client';
import type { Group, ListOrder, Session } from './types';

/** Which conversations a list shows, and in what order. */
export interface Choice {
  group: Group;
  order: ListOrder;
  /** As addresses carry it. */
  sentence: string;
}

export const keys = {
  reports: ['reports'] as const,
  session: ['session'] as const,
  lines: ['lines'] as const,
  lists: ['list'] as const,
  counts: ['counts'] as const,
  jump: ['jump'] as const,
  ribbon: ['ribbon'] as const,
  sentences: ['sentences'] as const,
  setup: ['setup'] as const,
  watchers: ['watchers'] as const,
  notices: ['notices'] as const,
  office: ['office'] as const,
  staff: ['staff'] as const,
  teams: ['teams'] as const,
  me: ['me'] as const,
  dossier: (id: number) => ['dossier', id] as const,
  script: (id: number) => ['script', id] as const,
  /** Why a conversation that was open is no longer to be seen. */
  gone: (id: number) => ['gone', id] as const,
  troubles: ['troubles'] as const,
  customers: ['customers'] as const,
  templates: ['templates'] as const,
  desk: ['desk'] as const,
  files: ['files'] as const,
  planned: ['planned'] as const,
};

/** Working time runs on without anyone's touch, so what shows it is read again now and then. */
export const TIME_RUNS_MS = 30_000;

/** Who is signed in; null for nobody. Read again now and then, for a timetable changes by itself whether the user is in. */
export const sessionQuery = queryOptions({
  queryKey: keys.session,
  queryFn: async (): Promise<Session | null> => {
    try {
      return await ask('GET', '/api/session');
    } catch (problem) {
      if (problem instanceof ApiProblem && problem.status === 401) return null;
      throw problem;
    }
  },
  staleTime: Infinity,
  refetchInterval: 2 * TIME_RUNS_MS,
});

export const linesQuery = queryOptions({
  queryKey: keys.lines,
  queryFn: () => ask('GET', '/api/lines'),
  staleTime: Infinity,
});

export const staffQuery = queryOptions({
  queryKey: keys.staff,
  queryFn: () => ask('GET', '/api/staff'),
  staleTime: Infinity,
});

export const teamsQuery = queryOptions({
  queryKey: keys.teams,
  queryFn: () => ask('GET', '/api/teams'),
  staleTime: Infinity,
});

/** The topics of all teams, also retired ones. */
export const topicsQuery = queryOptions({
  queryKey: ['topics'] as const,
  queryFn: () => ask('GET', '/api/topics'),
  staleTime: Infinity,
});

/** Sites, kinds, lists and details customers can be told apart by. */
export const customerTermsQuery = queryOptions({
  queryKey: [...keys.customers, 'terms'] as const,
  queryFn: () => ask('GET', '/api/customers/terms'),
});

export const sitesQuery = queryOptions({
  queryKey: ['sites'] as const,
  queryFn: () => ask('GET', '/api/setup/sites'),
  staleTime: Infinity,
});

export const listQuery = (choice: Choice) =>
  infiniteQueryOptions({
    queryKey: [...keys.lists, choice] as const,
    queryFn: ({ pageParam }) => ask('GET', '/api/conversations', { query: { ...choice, limit: 100, from: pageParam } }),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    // Of many stretches only what changes is asked for: read all again they would follow one another without end.
    refetchInterval: ({ state }) =>
      choice.group === 'OUR_TURN' && (state.data?.pages.length ?? 0) < 2 ? TIME_RUNS_MS : false,
  });

export const countsQuery = (sentence: string) =>
  queryOptions({
    queryKey: [...keys.counts, sentence] as const,
    queryFn: () => ask('GET', '/api/conversations/counts', { query: { sentence } }),
  });

/** What the server understands of a time as it was typed, for a conversation's line. */
export const typedTimeQuery = (id: number, words: string) =>
  queryOptions({
    queryKey: ['typed-time', id, words] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/moments/read', { path: { id }, query: { words } }),
    enabled: words.trim() !== '',
    staleTime: 0,
  });

export const dossierQuery = (id: number) =>
  queryOptions({ queryKey: keys.dossier(id), queryFn: () => ask('GET', '/api/conversations/{id}', { path: { id } }) });

/** Who is looking at what, and who is writing where; the live stream keeps it up. */
export const watchersQuery = queryOptions({
  queryKey: keys.watchers,
  queryFn: () => ask('GET', '/api/watchers'),
  staleTime: Infinity,
});

/** Why a conversation that was open is no longer to be seen; told by the live stream only. */
export const goneQuery = (id: number) =>
  queryOptions({ queryKey: keys.gone(id), queryFn: (): string => '', enabled: false, staleTime: Infinity });

/**
 * For what is asked for by the version of something, which stands last in the key: what was read of an older one stands until the newer
 * is there, so that nothing disappears under the hands of who works with it.
 */
export function untilNewer(key: QueryKey) {
  const of = hashKey(key.slice(0, -1));
  return <Data>(had: Data | undefined, query?: { queryKey: QueryKey }) =>
    query && hashKey(query.queryKey.slice(0, -1)) === of ? had : undefined;
}

/** What is to be done in a conversation, as it is now. */
export function toDosQuery(id: number, version: number) {
  const queryKey = [...keys.desk, id, version];
  return queryOptions({
    queryKey,
    queryFn: () => ask('GET', '/api/conversations/{id}/to-dos', { path: { id } }),
    placeholderData: untilNewer(queryKey),
    staleTime: 30_000,
  });
}

/** Templates offered in a conversation, filled for it as it is now. */
export const offeredQuery = (id: number, version: number, words: string) =>
  infiniteQueryOptions({
    queryKey: [...keys.templates, 'offered', id, version, words],
    queryFn: ({ pageParam }) =>
      ask('GET', '/api/conversations/{id}/templates', { path: { id }, query: { words, from: pageParam } }),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((sum, page) => sum + page.templates.length, 0);
      return last.templates.length > 0 && shown < last.all ? shown : undefined;
    },
    placeholderData: keepPreviousData,
    staleTime: 30_000,
  });

/** The team's shelf. */
export const shelfQuery = queryOptions({
  queryKey: [...keys.files, 'shelf'],
  queryFn: () => ask('GET', '/api/shelf'),
});

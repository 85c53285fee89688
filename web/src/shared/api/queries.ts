import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { ApiProblem, ask } from './client';
import type { Conversation, Dossier, Group, InboxCounts, InboxPage, Line, ScriptPage, Session, Whose } from './types';

/** Which conversations a list shows. */
export interface Choice {
  group: Group;
  whose: Whose;
  line?: number | undefined;
  toIdentify: boolean;
}

export const keys = {
  session: ['session'] as const,
  lines: ['lines'] as const,
  lists: ['list'] as const,
  counts: ['counts'] as const,
  jump: ['jump'] as const,
  ribbon: ['ribbon'] as const,
  dossier: (id: number) => ['dossier', id] as const,
  script: (id: number) => ['script', id] as const,
};

function choiceParams(choice: Omit<Choice, 'group'>): URLSearchParams {
  const params = new URLSearchParams({ whose: choice.whose });
  if (choice.line !== undefined) params.set('line', String(choice.line));
  if (choice.toIdentify) params.set('toIdentify', 'true');
  return params;
}

/** Who is signed in; null for nobody. */
export const sessionQuery = queryOptions({
  queryKey: keys.session,
  queryFn: async (): Promise<Session | null> => {
    try {
      return await ask<Session>('GET', '/api/session');
    } catch (problem) {
      if (problem instanceof ApiProblem && problem.status === 401) return null;
      throw problem;
    }
  },
  staleTime: Infinity,
});

export const linesQuery = queryOptions({
  queryKey: keys.lines,
  queryFn: () => ask<Line[]>('GET', '/api/lines'),
  staleTime: Infinity,
});

/** Working time runs on without anyone's touch, so what shows it is read again now and then. */
const TIME_RUNS_MS = 30_000;

export const listQuery = (choice: Choice) =>
  infiniteQueryOptions({
    queryKey: [...keys.lists, choice] as const,
    queryFn: ({ pageParam }) => {
      const params = choiceParams(choice);
      params.set('group', choice.group);
      if (pageParam) params.set('from', pageParam);
      return ask<InboxPage>('GET', `/api/conversations?${params.toString()}`);
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    refetchInterval: choice.group === 'OUR_TURN' ? TIME_RUNS_MS : false,
  });

export const ribbonQuery = (choice: Omit<Choice, 'group'>) =>
  queryOptions({
    queryKey: [...keys.ribbon, choiceParams(choice).toString()] as const,
    queryFn: () => ask<Conversation[]>('GET', `/api/conversations/ribbon?${choiceParams(choice).toString()}`),
    refetchInterval: TIME_RUNS_MS,
  });

export const countsQuery = (choice: Omit<Choice, 'group'>) =>
  queryOptions({
    queryKey: [...keys.counts, choiceParams(choice).toString()] as const,
    queryFn: () => ask<InboxCounts>('GET', `/api/conversations/counts?${choiceParams(choice).toString()}`),
  });

export const dossierQuery = (id: number) =>
  queryOptions({ queryKey: keys.dossier(id), queryFn: () => ask<Dossier>('GET', `/api/conversations/${id}`) });

export const scriptQuery = (id: number) =>
  infiniteQueryOptions({
    queryKey: keys.script(id),
    queryFn: ({ pageParam }) => {
      const before = pageParam ? `&before=${encodeURIComponent(pageParam)}` : '';
      return ask<ScriptPage>('GET', `/api/conversations/${id}/script?limit=50${before}`);
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.earlier,
  });

export const jumpQuery = (words: string) =>
  queryOptions({
    queryKey: [...keys.jump, words] as const,
    queryFn: () => ask<Conversation[]>('GET', `/api/conversations/jump?words=${encodeURIComponent(words)}`),
    enabled: words.trim() !== '',
    staleTime: 0,
  });

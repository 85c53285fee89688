import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, keys, type PlannedText, type PlanText, readAgain, untilNewer } from '../../shared/api';

/** What is planned in a conversation, as it is now. */
export function plannedQuery(id: number, version: number) {
  const queryKey = [...keys.planned, 'of', id, version];
  return queryOptions({
    queryKey,
    queryFn: () => ask('GET', '/api/conversations/{id}/planned', { path: { id } }),
    placeholderData: untilNewer(queryKey),
    staleTime: 30_000,
  });
}

/** A time as someone types it, by the line's clocks and hours and the customer's next appointment. */
export const laterTimeQuery = (id: number, words: string) =>
  queryOptions({
    queryKey: [...keys.planned, 'time', id, words],
    queryFn: () => ask('GET', '/api/conversations/{id}/planned/time', { path: { id }, query: { words } }),
    enabled: words.trim() !== '',
    staleTime: 20_000,
    retry: false,
  });

/** When a text would go, and what speaks against it. */
export const laterCheckQuery = (id: number, text: PlanText | undefined) =>
  queryOptions({
    queryKey: [...keys.planned, 'check', id, text],
    queryFn: () =>
      text === undefined
        ? Promise.reject(new Error('nothing to look at'))
        : ask('POST', '/api/conversations/{id}/planned/check', { path: { id }, body: text }).then((preview) => ({
            ...preview,
            of: text.words,
          })),
    enabled: text !== undefined,
    staleTime: 20_000,
    retry: false,
  });

/** Whose texts, in whose conversations; undefined for everyone's and any. */
export interface Whose {
  writer: number | undefined;
  team: number | undefined;
}

/** What is planned anywhere that I see. */
export const allPlannedQuery = (whose: Whose) =>
  infiniteQueryOptions({
    queryKey: [...keys.planned, 'all', whose.writer, whose.team],
    queryFn: ({ pageParam }) => ask('GET', '/api/planned', { query: { ...whose, from: pageParam } }),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (page) => page.next,
  });

/** Plans a text, or changes one. Planned again under one reference, it is planned once. */
export function usePlan(conversation: number, plan: PlannedText | undefined) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ reference, text }: { reference: string; text: PlanText }) => {
      if (plan === undefined) {
        await ask('POST', '/api/conversations/{id}/planned', {
          path: { id: conversation },
          body: { reference, text },
        });
      } else {
        await ask('PUT', '/api/planned/{id}', { path: { id: plan.id }, body: { version: plan.version, text } });
      }
    },
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: keys.planned });
      void queries.invalidateQueries({ queryKey: keys.desk });
      readAgain(queries, conversation);
    },
  });
}

export type PlanAct = 'send-now' | 'skip' | 'cancel';

/** Sends a planned text now, leaves out its next date, or cancels it. */
export function usePlanAct({ id, version, conversation }: PlannedText) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ act, confirmed = [] }: { act: PlanAct; confirmed?: string[] }) =>
      ask('POST', `/api/planned/{id}/${act}`, { path: { id }, body: { version, confirmed } }),
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: keys.planned });
      void queries.invalidateQueries({ queryKey: keys.desk });
      readAgain(queries, conversation.id);
    },
  });
}

import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, type Conversation, readAgain, untilNewer } from '../../shared/api';
import { offerUndo, readAgainAfterUndo, tellMovedOn, UNDOABLE } from '../../shared/ui';

/** Who probably writes; read again when something happened in the conversation. */
export function likelyQuery({ id, version }: Conversation) {
  const queryKey = ['likely', id, version];
  return queryOptions({
    queryKey,
    queryFn: () => ask('GET', '/api/conversations/{id}/likely', { path: { id } }),
    placeholderData: untilNewer(queryKey),
  });
}

/** Customers by part of anything. */
export const foundQuery = (words: string) =>
  queryOptions({
    queryKey: ['customers', 'find', words] as const,
    queryFn: () => ask('GET', '/api/customers/find', { query: { words } }),
    enabled: words.trim().length > 1,
    placeholderData: (before) => before,
  });

/** What a person says of who writes. */
export type Answer =
  | { as: 'customer'; customerId: number; name: string; shared: boolean; givesUp?: number }
  | { as: 'new'; name: string }
  | { as: 'holder'; customerId: number; name: string; scope: 'TEXT' | 'CONVERSATION' | 'ALWAYS' }
  | { as: 'not-for-us'; reason: 'WRONG_NUMBER' | 'JUNK' };

function said(answer: Answer): string {
  return answer.as === 'not-for-us' ? 'Not for us' : `It is ${answer.name}`;
}

/** Says who writes; it can be taken back at once with Z, and later from the customer's sheet. */
export function useIdentify(id: number, seen: number[]) {
  const queries = useQueryClient();
  const path = { id };
  return useMutation({
    meta: UNDOABLE,
    mutationFn: (answer: Answer) => {
      switch (answer.as) {
        case 'customer': {
          const { customerId, shared, givesUp } = answer;
          return ask('POST', '/api/conversations/{id}/identify/customer', {
            path,
            body: { customerId, shared, givesUp, seen },
          });
        }
        case 'new':
          return ask('POST', '/api/conversations/{id}/identify/new', { path, body: { name: answer.name, seen } });
        case 'holder': {
          const { customerId, scope } = answer;
          return ask('POST', '/api/conversations/{id}/identify/holder', { path, body: { customerId, scope, seen } });
        }
        case 'not-for-us':
          return ask('POST', '/api/conversations/{id}/identify/not-for-us', {
            path,
            body: { reason: answer.reason, seen },
          });
      }
    },
    onSuccess: ({ act }, answer) => {
      offerUndo({ words: said(answer), back: { identifying: act } });
      if (answer.as === 'not-for-us') tellMovedOn(id);
    },
    onSettled: () => {
      readAgain(queries, id);
      void queries.invalidateQueries({ queryKey: ['likely', id] });
      void queries.invalidateQueries({ queryKey: ['script'] });
    },
  });
}

/** Takes back what was said of who writes, also a week later. */
export function useTakeBackIdentifying() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (act: number) => ask('POST', '/api/identifying/{act}/undo', { path: { act } }),
    onSettled: () => {
      readAgainAfterUndo(queries);
      void queries.invalidateQueries({ queryKey: ['likely'] });
    },
  });
}

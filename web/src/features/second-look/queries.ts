import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, type Check, keys, readAgain, untilNewer, type WaitingText } from '../../shared/api';

const looks = (id: number) => [...keys.desk, 'looks', id] as const;

/** The texts that wait for a second look in a conversation, as it is now. */
export function looksQuery(id: number, version: number) {
  const queryKey = [...looks(id), version];
  return queryOptions({
    queryKey,
    queryFn: () => ask('GET', '/api/conversations/{id}/second-looks', { path: { id } }),
    // They stay, with the word that is being typed.
    placeholderData: untilNewer(queryKey),
    staleTime: 30_000,
  });
}

/** What speaks against a waiting text with these words, and what it costs. */
export const lookCheckQuery = (id: number, words: string, seen: number) =>
  queryOptions<Check>({
    queryKey: ['check', 'look', id, words, seen],
    queryFn: () => ask('POST', '/api/second-looks/{id}/check', { path: { id }, body: { words, seen } }),
    staleTime: 10_000,
    retry: false,
  });

type Act =
  | { kind: 'approve'; words: string; seen: number; confirmed: string[] }
  | { kind: 'return'; why: string }
  | { kind: 'take back' };

/** Sends a waiting text, returns it to its writer, or takes my own back. */
export function useLook(id: number, conversation: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (act: Act) => {
      const path = { id };
      if (act.kind === 'approve') {
        const { words, seen, confirmed } = act;
        await ask('POST', '/api/second-looks/{id}/approve', { path, body: { words, seen, confirmed } });
      } else if (act.kind === 'return') {
        await ask('POST', '/api/second-looks/{id}/return', { path, body: { why: act.why } });
      } else {
        await ask('POST', '/api/second-looks/{id}/take-back', { path });
      }
    },
    // It is gone at once: an act on it before the others are read again would be refused.
    onSuccess: () =>
      queries.setQueriesData<WaitingText[]>({ queryKey: looks(conversation) }, (waiting) =>
        waiting?.filter((text) => text.id !== id),
      ),
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: keys.desk });
      readAgain(queries, conversation);
    },
  });
}

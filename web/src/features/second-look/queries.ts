import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, type Check, keys, readAgain } from '../../shared/api';

/** The texts that wait for a second look in a conversation, as it is now. */
export const looksQuery = (id: number, version: number) =>
  queryOptions({
    queryKey: [...keys.desk, 'looks', id, version],
    queryFn: () => ask('GET', '/api/conversations/{id}/second-looks', { path: { id } }),
    staleTime: 30_000,
  });

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
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: keys.desk });
      readAgain(queries, conversation);
    },
  });
}

import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, keys, readAgain, TIME_RUNS_MS } from '../../shared/api';

/** What I am to do, and what I have begun to write. */
export const deskQuery = queryOptions({
  queryKey: keys.desk,
  queryFn: () => ask('GET', '/api/desk'),
  refetchInterval: TIME_RUNS_MS,
});

/** Ticks something off, or takes that back. */
export function useTick(conversation: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ note, done }: { note: number; done: boolean }) =>
      done
        ? ask('POST', '/api/to-dos/{note}/done', { path: { note } })
        : ask('DELETE', '/api/to-dos/{note}/done', { path: { note } }),
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: keys.desk });
      readAgain(queries, conversation);
    },
  });
}

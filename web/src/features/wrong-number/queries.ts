import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, type Conversation, readAgain, untilNewer } from '../../shared/api';

/** Whether the number of a conversation says that it is the wrong one; read again when something happened. */
export function wrongNumberQuery({ id, version }: Conversation) {
  const queryKey = ['wrong-number', id, version];
  return queryOptions({
    queryKey,
    queryFn: () => ask('GET', '/api/conversations/{id}/wrong-number', { path: { id } }),
    placeholderData: untilNewer(queryKey),
  });
}

/** No more texts to a number, and its customer is asked for the right one. */
export function useStopTexting(id: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => ask('POST', '/api/conversations/{id}/wrong-number', { path: { id } }),
    onSettled: () => {
      readAgain(queries, id);
      void queries.invalidateQueries({ queryKey: ['wrong-number', id] });
    },
  });
}

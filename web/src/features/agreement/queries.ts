import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, type Conversation, readAgain, type TextKind } from '../../shared/api';
import { tellOwnAct } from '../../shared/ui';

/** What a customer allows; read again when something happened in the conversation. */
export const agreementQuery = ({ id, version }: Conversation) =>
  queryOptions({
    queryKey: ['agreement', id, version] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/agreement', { path: { id } }),
    placeholderData: (before) => before,
  });

interface Noted {
  given: boolean;
  kinds: TextKind[];
  words?: string | undefined;
  /** The last day on which an agreement holds. */
  lastDay?: string | undefined;
}

/** What is decided before a text goes may be another one now. */
function useReadAgain(id: number) {
  const queries = useQueryClient();
  return () => {
    tellOwnAct();
    readAgain(queries, id);
    void queries.invalidateQueries({ queryKey: ['agreement', id] });
    void queries.invalidateQueries({ queryKey: ['check', id] });
  };
}

/** Notes what a customer said about our texts. */
export function useNoteAgreement(id: number) {
  const onSettled = useReadAgain(id);
  return useMutation({
    mutationFn: (body: Noted) => ask('POST', '/api/conversations/{id}/agreement', { path: { id }, body }),
    onSettled,
  });
}

/** Marks the number as wrong, or as right again. */
export function useMarkNumber(id: number) {
  const onSettled = useReadAgain(id);
  return useMutation({
    mutationFn: (wrong: boolean) =>
      ask('PUT', '/api/conversations/{id}/agreement/number', { path: { id }, body: { wrong } }),
    onSettled,
  });
}

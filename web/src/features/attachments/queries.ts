import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, type KeptFile, keys } from '../../shared/api';

/** Tries again to fetch what could not be fetched; the script tells when it is here. */
export function useFetchAgain(id: number) {
  return useMutation({ mutationFn: () => ask('POST', '/api/attachments/{id}/fetch-again', { path: { id } }) });
}

/** Says what it shows, for those who do not see it. */
export function useDescribe(id: number) {
  return useMutation({
    mutationFn: (words: string) => ask('PUT', '/api/attachments/{id}/words', { path: { id }, body: { words } }),
  });
}

/** Files that can be put to a text in a conversation. */
export const offeredFilesQuery = (conversation: number) =>
  queryOptions({
    queryKey: [...keys.files, 'offered', conversation],
    queryFn: () => ask('GET', '/api/conversations/{id}/attachments/offered', { path: { id: conversation } }),
    staleTime: 0,
  });

/** What is kept with a customer. */
export const customerFilesQuery = (customer: number) =>
  queryOptions({
    queryKey: [...keys.files, 'customer', customer],
    queryFn: () => ask('GET', '/api/customers/{id}/files', { path: { id: customer } }),
  });

/** Changes what is kept, and reads it again. */
export function useKeptChange() {
  const queries = useQueryClient();
  const again = () => queries.invalidateQueries({ queryKey: keys.files });
  const change = useMutation({
    mutationFn: ({ id, title, retired, lines, version }: KeptFile) =>
      ask('PUT', '/api/shelf/{id}', { path: { id }, body: { title, retired, lines, version } }),
    onSettled: again,
  });
  const remove = useMutation({
    mutationFn: (id: number) => ask('DELETE', '/api/kept-files/{id}', { path: { id } }),
    onSettled: again,
  });
  const putWithJob = useMutation({
    mutationFn: ({ id, job }: { id: number; job: number | undefined }) =>
      ask('PUT', '/api/kept-files/{id}/job', { path: { id }, body: job === undefined ? {} : { job } }),
    onSettled: again,
  });
  return { change, remove, putWithJob, again };
}

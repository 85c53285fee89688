import { useMutation } from '@tanstack/react-query';
import { ask } from '../../shared/api';

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

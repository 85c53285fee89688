import { queryOptions } from '@tanstack/react-query';
import { ask, keys, untilNewer } from '../../shared/api';

/** What became of a template since it was put into a text. */
export const sinceQuery = (id: number, version: number) =>
  queryOptions({
    queryKey: [...keys.templates, 'since', id, version],
    queryFn: () => ask('GET', '/api/templates/{id}/since/{version}', { path: { id, version } }),
    staleTime: 60_000,
  });

/** What is typed for templates in a conversation. */
export const shortNamesQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.templates, 'short names', id],
    queryFn: async () => new Set(await ask('GET', '/api/conversations/{id}/templates/short-names', { path: { id } })),
    staleTime: Infinity,
    structuralSharing: false,
  });

/** Templates suggested for what the customer asked; another version of the conversation may ask something else. */
export function suggestionsQuery(id: number, version: number) {
  const queryKey = [...keys.templates, 'suggestions', id, version];
  return queryOptions({
    queryKey,
    queryFn: () => ask('GET', '/api/conversations/{id}/suggestions', { path: { id } }),
    placeholderData: untilNewer(queryKey),
    staleTime: 60_000,
    retry: false,
  });
}

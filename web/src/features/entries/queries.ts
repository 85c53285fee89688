import { queryOptions } from '@tanstack/react-query';
import { ask } from '../../shared/api';

/** What a note said before it was changed. */
export const traceQuery = (conversation: number, note: number, wanted: boolean) =>
  queryOptions({
    queryKey: ['trace', conversation, note] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/notes/{note}/trace', { path: { id: conversation, note } }),
    enabled: wanted,
    staleTime: 0,
  });

import {
  infiniteQueryOptions,
  keepPreviousData,
  queryOptions,
  useMutation,
  useQueryClient,
} from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

/** All templates that one sees. */
export const templatesQuery = queryOptions({
  queryKey: [...keys.templates, 'book'],
  queryFn: () => ask('GET', '/api/templates'),
  staleTime: Infinity,
});

export const placeholdersQuery = queryOptions({
  queryKey: [...keys.templates, 'placeholders'],
  queryFn: () => ask('GET', '/api/templates/placeholders'),
  staleTime: 60_000,
});

export const linksQuery = queryOptions({
  queryKey: [...keys.templates, 'links'],
  queryFn: () => ask('GET', '/api/links'),
  staleTime: 60_000,
});

export const versionsQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.templates, 'versions', id],
    queryFn: () => ask('GET', '/api/templates/{id}/versions', { path: { id } }),
    staleTime: 0,
  });

export const usageQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.templates, 'usage', id],
    queryFn: () => ask('GET', '/api/templates/{id}/usage', { path: { id } }),
    staleTime: 0,
  });

/** How words look for customers. */
export const sampleQuery = (words: string) =>
  queryOptions({
    queryKey: [...keys.templates, 'sample', words],
    queryFn: () => ask('POST', '/api/templates/sample', { body: { words } }),
    enabled: words.trim() !== '',
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    gcTime: 60_000,
  });

/** Templates offered in a conversation, filled for it as it is now. */
export const offeredQuery = (id: number, version: number, words: string) =>
  infiniteQueryOptions({
    queryKey: [...keys.templates, 'offered', id, version, words],
    queryFn: ({ pageParam }) =>
      ask('GET', '/api/conversations/{id}/templates', { path: { id }, query: { words, from: pageParam } }),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((sum, page) => sum + page.templates.length, 0);
      return last.templates.length > 0 && shown < last.all ? shown : undefined;
    },
    placeholderData: keepPreviousData,
    staleTime: 30_000,
  });

/** Something is changed in the book, and the book is read again. */
export function useBookChange<T = unknown>() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (go: () => Promise<T>) => go(),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.templates }),
  });
}

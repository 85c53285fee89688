import { keepPreviousData, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

/** All templates that the user sees. */
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

/** Something is changed in the book, and the book is read again. */
export function useBookChange<T = unknown>() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (go: () => Promise<T>) => go(),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.templates }),
  });
}

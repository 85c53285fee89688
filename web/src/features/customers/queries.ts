import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';
import { offerUndo, UNDOABLE } from '../../shared/ui';

/** The customers a sentence means, by name. */
export const placeQuery = (sentence: string) =>
  infiniteQueryOptions({
    queryKey: [...keys.customers, 'place', sentence] as const,
    queryFn: ({ pageParam }) => ask('GET', '/api/customers', { query: { sentence, after: pageParam, limit: 60 } }),
    initialPageParam: 0,
    getNextPageParam: (page) => (page.more ? page.customers[page.customers.length - 1]?.id : undefined),
    placeholderData: (before) => before,
  });

/** One customer’s page. */
export const customerQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.customers, 'page', id] as const,
    queryFn: () => ask('GET', '/api/customers/{id}', { path: { id } }),
    staleTime: 0,
  });

/** One stretch of a story: before an entry, up to now for 0, or, below that, down to an entry. */
export const readStory = (id: number, param: number) =>
  ask('GET', '/api/customers/{id}/story', {
    path: { id },
    query: param < 0 ? { to: -param } : { before: param, limit: 50 },
  });

/** All that was said with a customer, the newest stretch first. Below the key of scripts, so that what is new is read again. */
export const storyQuery = (id: number) =>
  infiniteQueryOptions({
    queryKey: ['script', 'story', id] as const,
    queryFn: ({ pageParam }) => readStory(id, pageParam),
    initialPageParam: 0,
    getNextPageParam: (page) => page.earlier,
    staleTime: 0,
  });

/** What changed of a customer, and by whom. */
export const changesQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.customers, 'changes', id] as const,
    queryFn: () => ask('GET', '/api/customers/{id}/changes', { path: { id } }),
    staleTime: 0,
  });

/** Customers who may be this one too. */
export const twinsQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.customers, 'twins', id] as const,
    queryFn: () => ask('GET', '/api/customers/{id}/twins', { path: { id } }),
    staleTime: 0,
  });

/** Reads again what shows customers. */
export function useReadCustomersAgain() {
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: keys.customers });
    void queries.invalidateQueries({ queryKey: ['dossier'] });
    void queries.invalidateQueries({ queryKey: ['script'] });
  };
}

/** Acts on a customer’s page. It is shown by reading the page again; what can be taken back is offered so. */
export function useCustomerChange() {
  const again = useReadCustomersAgain();
  return useMutation({
    meta: UNDOABLE,
    mutationFn: ({ go }: { go: () => Promise<unknown>; undo?: string }) => go(),
    onSuccess: (answer, { undo }) => {
      if (undo !== undefined && typeof answer === 'object' && answer !== null && 'act' in answer) {
        offerUndo({ words: undo, back: { identifying: Number(answer.act) } });
      }
    },
    onSettled: again,
  });
}

/** Makes a customer of whom only the name is known. */
export function useNewCustomer(onMade: (id: number) => void) {
  const again = useReadCustomersAgain();
  return useMutation({
    mutationFn: (name: string) => ask('POST', '/api/customers', { body: { name } }),
    onSuccess: ({ id }) => onMade(id),
    onSettled: again,
  });
}

/** One’s own addresses for a calendar program. */
export const calendarAddressesQuery = queryOptions({
  queryKey: [...keys.customers, 'calendar addresses'] as const,
  queryFn: () => ask('GET', '/api/calendar-addresses'),
});

/** All pairs of customers who may be one. */
export const allTwinsQuery = queryOptions({
  queryKey: [...keys.customers, 'twins of all'] as const,
  queryFn: () => ask('GET', '/api/customers/twins'),
  staleTime: 0,
});

/** What would be removed with a customer. */
export const removalQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.customers, 'removal', id] as const,
    queryFn: () => ask('GET', '/api/customers/{id}/removal', { path: { id } }),
    staleTime: 0,
  });

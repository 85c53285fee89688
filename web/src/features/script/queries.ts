import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { ask, keys, TIME_RUNS_MS } from '../../shared/api';

/** The moments a conversation's line offers for setting aside; they move on, so they are asked for again. */
export const momentsQuery = (id: number, wanted: boolean) =>
  queryOptions({
    queryKey: ['moments', id] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/moments', { path: { id } }),
    enabled: wanted,
    staleTime: 0,
  });

/** Before the id of a text down to which a stretch goes. */
const TO = 'to ';

/** The parameter of the stretch from the newest entry down to one. */
export const downTo = (entry: number) => `${TO}${entry}`;

/** One stretch of a script: the newest, before a place, or down to an entry. */
export function readScript(id: number, param: string) {
  const to = param.startsWith(TO) ? Number(param.slice(TO.length)) : undefined;
  const query = to === undefined ? { limit: 50, before: param } : { to };
  return ask('GET', '/api/conversations/{id}/script', { path: { id }, query });
}

export const scriptQuery = (id: number) =>
  infiniteQueryOptions({
    queryKey: keys.script(id),
    queryFn: ({ pageParam }) => readScript(id, pageParam),
    initialPageParam: '',
    getNextPageParam: (page) => page.earlier,
  });

/** To whom a conversation can be handed now. */
export const receiversQuery = (id: number) =>
  queryOptions({
    queryKey: ['receivers', id] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/hand-to', { path: { id } }),
    staleTime: 0,
  });

/** The other conversations with the same customer or number. */
export const elsewhereQuery = (id: number) =>
  queryOptions({
    queryKey: ['elsewhere', id] as const,
    queryFn: () => ask('GET', '/api/conversations/{id}/elsewhere', { path: { id } }),
    refetchInterval: TIME_RUNS_MS,
    staleTime: 0,
  });

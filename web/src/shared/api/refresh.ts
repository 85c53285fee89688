import type { QueryClient } from '@tanstack/react-query';
import { keys } from './queries';

/** What shows conversations is read again, should the live stream be down. */
export function readListsAgain(queries: QueryClient): void {
  for (const queryKey of [keys.lists, keys.counts, keys.ribbon, keys.sentences])
    void queries.invalidateQueries({ queryKey });
}

/** What shows this conversation is read again as well. */
export function readAgain(queries: QueryClient, id: number): void {
  void queries.invalidateQueries({ queryKey: keys.dossier(id) });
  void queries.invalidateQueries({ queryKey: keys.script(id) });
  readListsAgain(queries);
}

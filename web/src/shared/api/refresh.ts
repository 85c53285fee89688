import type { QueryClient } from '@tanstack/react-query';
import { keys } from './queries';

/** However much happens, lists are read again no more often than this. */
const AT_MOST_EVERY_MS = 400;
const planned = new WeakMap<QueryClient, ReturnType<typeof setTimeout>>();
const lastRead = new WeakMap<QueryClient, number>();

/** What shows conversations is read again: at once, or a moment later where that has only just been done. */
export function readListsAgain(queries: QueryClient): void {
  if (planned.has(queries)) return;
  const wait = (lastRead.get(queries) ?? 0) + AT_MOST_EVERY_MS - Date.now();
  if (wait <= 0) {
    readNow(queries);
  } else {
    planned.set(
      queries,
      setTimeout(() => {
        planned.delete(queries);
        readNow(queries);
      }, wait),
    );
  }
}

function readNow(queries: QueryClient): void {
  lastRead.set(queries, Date.now());
  for (const queryKey of [keys.lists, keys.counts, keys.ribbon, keys.sentences])
    void queries.invalidateQueries({ queryKey });
}

/** What shows this conversation is read again as well. */
export function readAgain(queries: QueryClient, id: number): void {
  void queries.invalidateQueries({ queryKey: keys.dossier(id) });
  void queries.invalidateQueries({ queryKey: keys.script(id) });
  readListsAgain(queries);
}

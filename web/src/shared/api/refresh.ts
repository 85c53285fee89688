import type { InfiniteData, QueryClient } from '@tanstack/react-query';
import { type Choice, keys } from './queries';
import type { Conversation, InboxPage } from './types';

/** However much happens, lists are read again no more often than this. */
const AT_MOST_EVERY_MS = 400;
const planned = new WeakMap<QueryClient, ReturnType<typeof setTimeout>>();
const lastRead = new WeakMap<QueryClient, number>();
/** What has changed since lists were last read; nothing in particular means that anything may have. */
const changes = new WeakMap<QueryClient, (Conversation | undefined)[]>();

/**
 * What shows conversations is read again: at once, or a moment later where that has only just been done.
 *
 * @param changed the one that changed, where it is just one: lists that neither show it nor could are left as they are
 */
export function readListsAgain(queries: QueryClient, changed?: Conversation): void {
  changes.set(queries, [...(changes.get(queries) ?? []), changed]);
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
  const changed = changes.get(queries) ?? [];
  changes.delete(queries);
  void queries.invalidateQueries({
    queryKey: keys.lists,
    predicate: ({ queryKey, state }) =>
      changed.some((row) => !row || concerns(row, queryKey[1] as Choice, state.data as InfiniteData<InboxPage>)),
  });
  for (const queryKey of [keys.counts, keys.ribbon, keys.sentences]) void queries.invalidateQueries({ queryKey });
}

/** Whether a list shows a conversation that changed, or may have to from now on. */
function concerns(row: Conversation, choice: Choice, list: InfiniteData<InboxPage> | undefined): boolean {
  return row.group === choice.group || (list?.pages.some((page) => page.rows.some(({ id }) => id === row.id)) ?? true);
}

/** What shows this conversation is read again as well. */
export function readAgain(queries: QueryClient, id: number): void {
  void queries.invalidateQueries({ queryKey: keys.dossier(id) });
  void queries.invalidateQueries({ queryKey: keys.script(id) });
  readListsAgain(queries);
}

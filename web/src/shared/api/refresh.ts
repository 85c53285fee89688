import type { InfiniteData, QueryClient, QueryKey } from '@tanstack/react-query';
import { ask } from './ask';
import { type Choice, keys } from './queries';
import { withChanges } from './stretches';
import type { Conversation, InboxPage } from './types';

/** However much happens, the same is read again no more often than this. */
const AT_MOST_EVERY_MS = 400;

interface Pace {
  last: number;
  timer?: ReturnType<typeof setTimeout> | undefined;
}

const paces = new WeakMap<QueryClient, Map<string, Pace>>();
/** A conversation that changed; only its id where how it is now is not known. */
type Changed = Pick<Conversation, 'id'> & Partial<Pick<Conversation, 'group'>>;

/** What has changed since lists were last read; nothing in particular means that anything may have. */
const changes = new WeakMap<QueryClient, (Changed | undefined)[]>();

/** More than this are not asked about one by one. */
const MOST_ASKED = 100;

/** Reads at once, or a moment later where that has only just been done; however often that is asked for meanwhile, once. */
function atEase(queries: QueryClient, what: string, read: () => void): void {
  const all = paces.get(queries) ?? new Map<string, Pace>();
  paces.set(queries, all);
  const pace = all.get(what) ?? { last: 0 };
  all.set(what, pace);
  if (pace.timer !== undefined) return;
  const go = () => {
    pace.timer = undefined;
    pace.last = Date.now();
    read();
  };
  const wait = pace.last + AT_MOST_EVERY_MS - Date.now();
  if (wait <= 0) go();
  else pace.timer = setTimeout(go, wait);
}

/**
 * What shows conversations is read again.
 *
 * @param changed the one that changed, where it is just one: lists that neither show it nor could are left as they are
 */
export function readListsAgain(queries: QueryClient, changed?: Changed): void {
  changes.set(queries, [...(changes.get(queries) ?? []), changed]);
  atEase(queries, 'lists', () => {
    const since = changes.get(queries) ?? [];
    changes.delete(queries);
    for (const query of queries.getQueryCache().findAll({ queryKey: keys.lists })) {
      const choice = query.queryKey[1] as Choice;
      const list = query.state.data as InfiniteData<InboxPage> | undefined;
      // What is being read just now may be older than the change.
      const mayBeOlder = query.state.fetchStatus === 'fetching';
      if (mayBeOlder || since.some((row) => !row || concerns(row, choice, list)))
        readListAgain(queries, query.queryKey, since);
    }
    for (const queryKey of [keys.counts, keys.ribbon, keys.sentences, keys.office])
      void queries.invalidateQueries({ queryKey });
  });
}

/**
 * A list is read again: one stretch as it is, of many only what has changed. Else twenty stretches would be asked for one after the
 * other at every change, and never be through.
 */
function readListAgain(queries: QueryClient, queryKey: QueryKey, since: (Changed | undefined)[]): void {
  const list = queries.getQueryData<InfiniteData<InboxPage>>(queryKey);
  const ids = [...new Set(since.flatMap((row) => row?.id ?? []))];
  if (!list || list.pages.length < 2 || since.includes(undefined) || ids.length > MOST_ASKED) {
    void queries.invalidateQueries({ queryKey, exact: true });
    return;
  }
  const { group, order, sentence } = queryKey[1] as Choice;
  ask('GET', '/api/conversations/among', { query: { group, order, sentence, ids } })
    .then((now) => queries.setQueryData<InfiniteData<InboxPage>>(queryKey, (had) => had && withChanges(had, ids, now)))
    .catch(() => queries.invalidateQueries({ queryKey, exact: true }));
}

/** What a message is about is read again. */
export function readNoticesAgain(queries: QueryClient): void {
  atEase(queries, 'notices', () => void queries.invalidateQueries({ queryKey: keys.notices }));
}

/** Who colleagues are and what each may is read again. */
export function readPeopleAgain(queries: QueryClient): void {
  atEase(queries, 'people', () => {
    for (const queryKey of [keys.staff, keys.teams, keys.session, keys.office, keys.setup, keys.me])
      void queries.invalidateQueries({ queryKey });
  });
}

/** Whether a list shows a conversation that changed, or may have to from now on. */
function concerns(row: Changed, choice: Choice, list: InfiniteData<InboxPage> | undefined): boolean {
  return (
    row.group === undefined ||
    row.group === choice.group ||
    (list?.pages.some((page) => page.rows.some(({ id }) => id === row.id)) ?? true)
  );
}

/** Whatever is shown may be older than what holds now; only who is signed in is not asked again. */
export function readAllAgain(queries: QueryClient): Promise<void> {
  return queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.session[0] });
}

/** What shows this conversation is read again as well. */
export function readAgain(queries: QueryClient, id: number): void {
  void queries.invalidateQueries({ queryKey: keys.dossier(id) });
  void queries.invalidateQueries({ queryKey: keys.script(id) });
  readListsAgain(queries, { id });
}

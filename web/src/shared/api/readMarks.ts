import type { InfiniteData, QueryClient } from '@tanstack/react-query';
import { keys } from './queries';
import type { Conversation, InboxPage } from './types';

/** Whether the customer wrote something that I have not read; what is done is not marked. */
export function isUnread(row: Conversation, readUpTo: string | undefined): boolean {
  const open = row.group === 'OUR_TURN' || row.group === 'SET_ASIDE';
  return open && row.lastSpeaker === 'CUSTOMER' && (readUpTo === undefined || readUpTo < row.lastAt);
}

/** What is shown of a conversation now has been read; lists show so without asking again. */
export function markRead(queries: QueryClient, id: number): void {
  changeLists(queries, (list) => withRead(list, id));
}

type List = InfiniteData<InboxPage>;

/**
 * Changes the lists that have to do with it; the others are left alone, for who is told of a list begins to wait anew until it is read
 * again.
 *
 * @param change answers the list as it is where nothing of it is different
 */
export function changeLists(queries: QueryClient, change: (list: List) => List): void {
  queries.setQueriesData<List>({ queryKey: keys.lists }, (list) => {
    const now = list && change(list);
    return now === list ? undefined : now;
  });
}

/** A list with its pages changed; the same one where none is. */
export function withPages(list: List, change: (page: InboxPage) => InboxPage): List {
  const pages = list.pages.map(change);
  return pages.every((page, i) => page === list.pages[i]) ? list : { ...list, pages };
}

/** The list with a conversation read up to its last text. */
export function withRead(list: List, id: number): List {
  return withPages(list, (page) => {
    const row = page.rows.find((each) => each.id === id);
    const before = page.seen.find((each) => each.conversationId === id);
    if (!row || before?.at === row.lastAt) return page;
    const others = page.seen.filter((each) => each.conversationId !== id);
    return { ...page, seen: [...others, { conversationId: id, at: row.lastAt }] };
  });
}

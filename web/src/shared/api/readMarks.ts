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
  queries.setQueriesData<InfiniteData<InboxPage>>({ queryKey: keys.lists }, (list) => list && withRead(list, id));
}

/** The list with a conversation read up to its last text. */
export function withRead(list: InfiniteData<InboxPage>, id: number): InfiniteData<InboxPage> {
  return {
    ...list,
    pages: list.pages.map((page) => {
      const row = page.rows.find((each) => each.id === id);
      const before = page.seen.find((each) => each.conversationId === id);
      if (!row || before?.at === row.lastAt) return page;
      const others = page.seen.filter((each) => each.conversationId !== id);
      return { ...page, seen: [...others, { conversationId: id, at: row.lastAt }] };
    }),
  };
}

import { hashKey, type QueryClient } from '@tanstack/react-query';
import { sessionChanged } from './client';
import { keys } from './queries';
import type { Session } from './types';

const DRAFTS = 'fabulum.draft.';

/**
 * Words that this browser alone had when a session ended: held in memory, for the person who wrote them, until someone signs in here. The
 * next person starts from nothing, and nothing of it outlives the page.
 */
const held = new Map<string, string>();

function draftKeys(): string[] {
  return Object.keys(localStorage).filter((key) => key.startsWith(DRAFTS));
}

/** A session has ended, in whatever way: the cache and every draft leave this browser. Drafts stay on the server, for their writer. */
export function endSession(queries: QueryClient): void {
  for (const key of draftKeys()) {
    const draft = localStorage.getItem(key);
    if (draft !== null) held.set(key, draft);
    localStorage.removeItem(key);
  }
  sessionStorage.clear();
  sessionChanged();
  // Who watches the session must hear of its end: that one query stays.
  queries.removeQueries({ predicate: ({ queryKey }) => hashKey(queryKey) !== hashKey(keys.session) });
  queries.getMutationCache().clear();
  setSession(queries, null);
}

/** What was asked a moment ago about the session is not listened to any more. */
function setSession(queries: QueryClient, session: Session | null): void {
  void queries.cancelQueries({ queryKey: keys.session, exact: true });
  queries.setQueryData(keys.session, session);
}

/**
 * A session has begun, or goes on under another name of its own. A person who signs in again on the same page gets back what they had
 * typed; what others had typed is gone for good.
 */
export function beginSession(queries: QueryClient, session: Session): void {
  for (const [key, draft] of held) {
    if (key.startsWith(`${DRAFTS}${session.staff.id}.`)) localStorage.setItem(key, draft);
  }
  held.clear();
  sessionChanged();
  setSession(queries, session);
}

/** How much is held; for tests. */
export function rescued(): number {
  return held.size;
}

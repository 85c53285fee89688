import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { endSession, type Session } from '../../shared/api';

/** All tabs of a browser have the same session: when it ends in one, it has ended in all. */
const ENDED = 'fabulum.session';

/** Tells the other tabs that the session has ended. */
export function tellEnded(): void {
  if (typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(ENDED);
  channel.postMessage('ended');
  channel.close();
}

/**
 * Nothing of one person is left for the next: when nobody, or another person, is signed in than a moment ago, the cache and every draft
 * leave the browser.
 */
export function useOnePerson(session: Session | null | undefined): void {
  const queries = useQueryClient();
  const before = useRef<number | undefined>(undefined);
  const now = session?.staff.id;
  useEffect(() => {
    const had = before.current;
    if (session !== undefined) before.current = now;
    if (had === undefined || had === now || session === undefined) return;
    endSession(queries);
    // Another person signed in, in another tab: this one begins again as theirs.
    if (now !== undefined) void queries.invalidateQueries();
  }, [now, session, queries]);
  useEffect(() => {
    if (typeof BroadcastChannel === 'undefined') return undefined;
    const channel = new BroadcastChannel(ENDED);
    channel.onmessage = () => endSession(queries);
    return () => channel.close();
  }, [queries]);
}

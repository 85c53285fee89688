import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
import { keys, type LiveMessage, type Session } from '../shared/api';
import { applyLive } from './apply';
import { type Hearing, SharedStream } from './sharedStream';

/** Without a sign of life for this long the line counts as dead: the server beats every 15 s. */
const PATIENCE_MS = 40_000;
const AGAIN_MS = 2_000;

/**
 * After which position to listen, so that it misses nothing of what is read from now on: where the stream stood when the session was
 * answered. Empty where something was read before that.
 */
function start(queries: QueryClient): string {
  const readBefore = queries
    .getQueryCache()
    .getAll()
    .some(({ queryKey, state }) => queryKey[0] !== keys.session[0] && state.data !== undefined);
  return readBefore ? '' : (queries.getQueryData<Session | null>(keys.session)?.live ?? '');
}

export type LineState = 'opening' | 'live' | 'lost';

/**
 * Listens to the server for as long as the page is open. After a break it goes on where it stopped; what was missed in between is told
 * then, or, after a long break, read again. `onMessage` hears every message after it was applied.
 *
 * @param staff who listens; all their tabs share one stream
 */
export function useLive(staff: number, onMessage: (message: LiveMessage) => void): LineState {
  const queries = useQueryClient();
  const [state, setState] = useState<LineState>('opening');
  // The person who listens may change with every page; the line stays open.
  const tell = useEffectEvent(onMessage);

  useEffect(() => {
    const from = start(queries);
    let position = '';
    let watchdog: ReturnType<typeof setTimeout> | undefined;
    let again: ReturnType<typeof setTimeout> | undefined;

    const alive = () => {
      clearTimeout(watchdog);
      watchdog = setTimeout(silent, PATIENCE_MS);
    };
    const stream = new SharedStream(
      `fabulum.live.${staff}`,
      (after) => (after ? `/api/live?after=${encodeURIComponent(after)}` : '/api/live'),
      {
        onSaid: ({ data, position: next }, own) => {
          alive();
          const message = JSON.parse(data) as LiveMessage;
          // The first message of a listener without a place only says where the stream stands: what was read before may be older.
          const mayBeOlder = position === '' && !(own && from);
          position = next || position;
          setState('live');
          applyLive(queries, mayBeOlder ? { type: 'READ_AGAIN', entries: [], by: [] } : message);
          tell(message);
        },
        onHearing: hearing,
      },
      () => position || from,
    );
    function silent() {
      setState('lost');
      stream.again();
      alive();
    }
    function hearing(now: Hearing) {
      if (now === 'open') {
        alive();
        return;
      }
      setState('lost');
      if (now === 'closed') {
        void queries.invalidateQueries({ queryKey: keys.session });
        clearTimeout(again);
        again = setTimeout(() => stream.again(), AGAIN_MS);
      }
    }
    const awake = () => {
      if (document.visibilityState === 'visible') stream.wake();
    };
    const online = () => stream.again();

    alive();
    document.addEventListener('visibilitychange', awake);
    window.addEventListener('online', online);
    return () => {
      stream.close();
      clearTimeout(watchdog);
      clearTimeout(again);
      document.removeEventListener('visibilitychange', awake);
      window.removeEventListener('online', online);
    };
  }, [queries, staff]);

  return state;
}

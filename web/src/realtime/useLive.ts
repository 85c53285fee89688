import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
import { keys, type LiveMessage } from '../shared/api';
import { applyLive } from './apply';

/** Without a sign of life for this long the line counts as dead: the server beats every 15 s. */
const PATIENCE_MS = 40_000;
const AGAIN_MS = 2_000;

export type LineState = 'opening' | 'live' | 'lost';

/**
 * Listens to the server for as long as the page is open. After a break it goes on where it stopped; what was missed in between is told
 * then, or, after a long break, read again. `onMessage` hears every message after it was applied.
 */
export function useLive(onMessage: (message: LiveMessage) => void): LineState {
  const queries = useQueryClient();
  const [state, setState] = useState<LineState>('opening');
  // Whoever listens may change with every page; the line stays open.
  const tell = useEffectEvent(onMessage);

  useEffect(() => {
    let source: EventSource | undefined;
    let position = '';
    let watchdog: ReturnType<typeof setTimeout> | undefined;
    let again: ReturnType<typeof setTimeout> | undefined;

    const alive = () => {
      clearTimeout(watchdog);
      watchdog = setTimeout(reopen, PATIENCE_MS);
    };
    const heard = (event: MessageEvent<string>) => {
      alive();
      const message = JSON.parse(event.data) as LiveMessage;
      // The first message of a listener without a place only says where the stream stands: what was read before it may be older.
      const first = position === '';
      position = event.lastEventId || position;
      setState('live');
      applyLive(queries, first ? { type: 'READ_AGAIN', entries: [], by: [] } : message);
      tell(message);
    };
    const failed = () => {
      setState('lost');
      if (source?.readyState === EventSource.CLOSED) {
        void queries.invalidateQueries({ queryKey: keys.session });
        clearTimeout(again);
        again = setTimeout(reopen, AGAIN_MS);
      }
    };
    function reopen() {
      source?.close();
      source = new EventSource(position ? `/api/live?after=${encodeURIComponent(position)}` : '/api/live');
      source.onmessage = heard;
      source.onerror = failed;
      alive();
    }
    const awake = () => {
      if (document.visibilityState === 'visible' && source?.readyState !== EventSource.OPEN) reopen();
    };

    reopen();
    document.addEventListener('visibilitychange', awake);
    window.addEventListener('online', reopen);
    return () => {
      source?.close();
      clearTimeout(watchdog);
      clearTimeout(again);
      document.removeEventListener('visibilitychange', awake);
      window.removeEventListener('online', reopen);
    };
  }, [queries]);

  return state;
}

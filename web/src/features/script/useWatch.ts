import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { ask, markRead } from '../../shared/api';

/** A page that says nothing for 11 s counts as gone. */
const AGAIN_MS = 4_000;

/**
 * Says again and again that one is here, of what a person sees, while the page can be seen, and that one has left.
 *
 * @returns up to when the user had read it before they came; empty when that is not known or they were never here
 */
export function useWatch(id: number, seen: boolean, writing: boolean): string | undefined {
  const queries = useQueryClient();
  const [readBefore, setReadBefore] = useState<string | null>();
  const now = useRef(writing);
  useEffect(() => {
    if (!seen) return undefined;
    const say = () => {
      if (document.visibilityState !== 'visible') return;
      ask('PUT', '/api/conversations/{id}/watch', { path: { id }, body: { writing: now.current } })
        .then(({ readUpTo }) => {
          setReadBefore((before) => (before === undefined ? (readUpTo ?? null) : before));
          markRead(queries, id);
        })
        .catch(() => undefined);
    };
    const leave = () => {
      ask('DELETE', '/api/conversations/{id}/watch', { path: { id }, keepalive: true }).catch(() => undefined);
    };
    const turned = () => (document.visibilityState === 'visible' ? say() : leave());
    say();
    const timer = setInterval(say, AGAIN_MS);
    document.addEventListener('visibilitychange', turned);
    window.addEventListener('pagehide', leave);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', turned);
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [id, seen, queries]);
  useEffect(() => {
    if (!seen || now.current === writing) return;
    now.current = writing;
    ask('PUT', '/api/conversations/{id}/watch', { path: { id }, body: { writing } }).catch(() => undefined);
  }, [id, seen, writing]);
  return readBefore ?? undefined;
}

import { useEffect, useRef } from 'react';
import { ask } from '../../shared/api';

/** A page that says nothing for 11 s counts as gone. */
const AGAIN_MS = 4_000;

/** Says again and again that one is here, of what one sees, while the page can be seen, and that one has left. */
export function useWatch(id: number, seen: boolean, writing: boolean): void {
  const now = useRef(writing);
  useEffect(() => {
    if (!seen) return undefined;
    const say = () => {
      if (document.visibilityState !== 'visible') return;
      ask('PUT', `/api/conversations/${id}/watch`, { writing: now.current }).catch(() => undefined);
    };
    const leave = () => {
      ask('DELETE', `/api/conversations/${id}/watch`, undefined, true).catch(() => undefined);
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
  }, [id, seen]);
  useEffect(() => {
    if (!seen || now.current === writing) return;
    now.current = writing;
    ask('PUT', `/api/conversations/${id}/watch`, { writing }).catch(() => undefined);
  }, [id, seen, writing]);
}

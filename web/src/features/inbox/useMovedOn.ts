import { useEffect, useRef } from 'react';
import { MOVED_ON } from '../../shared/ui';

/** Hears when an act of the person's own has moved a conversation on. */
export function useMovedOn(onMovedOn: (id: number) => void): void {
  const latest = useRef(onMovedOn);
  useEffect(() => {
    latest.current = onMovedOn;
  });
  useEffect(() => {
    const moved = (event: Event) => latest.current((event as CustomEvent<number>).detail);
    window.addEventListener(MOVED_ON, moved);
    return () => window.removeEventListener(MOVED_ON, moved);
  }, []);
}

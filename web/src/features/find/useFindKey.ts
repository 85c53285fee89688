import { useEffect, useEffectEvent } from 'react';
import { fetchFindBar } from './parts';

/**
 * Ctrl+F opens the finding of a script: what the browser finds by itself are only the lines that are drawn. Pressed again in the field
 * it is the browser's.
 */
export function useFindKey(isOpen: boolean, open: () => void): void {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    const asked =
      (event.ctrlKey || event.metaKey) && !event.altKey && !event.shiftKey && event.key.toLowerCase() === 'f';
    const inField = event.target instanceof Element && event.target.closest('[role="search"]') !== null;
    if (!asked || event.defaultPrevented || inField) return;
    event.preventDefault();
    if (isOpen) document.querySelector<HTMLElement>('[role="search"] input')?.focus();
    else open();
  });
  useEffect(fetchFindBar, []);
  useEffect(() => {
    const key = (event: KeyboardEvent) => pressed(event);
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, []);
}

import { useEffect, useEffectEvent } from 'react';
import { fetchFindBar } from './parts';
import type { Find } from './useFind';

const field = () => document.querySelector<HTMLElement>('[role="search"] input');

/**
 * Ctrl+F opens the finding of a script: what the browser finds by itself are only the lines that are drawn. Pressed again in the field
 * it is the browser's. What is typed before the field is there goes into it, and is no key of the script.
 */
export function useFindKey({ isOpen, open, setWords, words }: Find): void {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    const control = event.ctrlKey || event.metaKey;
    if (isOpen && !control && !event.altKey && event.key.length === 1 && field() === null) {
      event.preventDefault();
      event.stopImmediatePropagation();
      setWords(words + event.key);
      return;
    }
    const asked = control && !event.altKey && !event.shiftKey && event.key.toLowerCase() === 'f';
    const inField = event.target instanceof Element && event.target.closest('[role="search"]') !== null;
    if (!asked || event.defaultPrevented || inField) return;
    event.preventDefault();
    if (isOpen) field()?.focus();
    else open();
  });
  useEffect(fetchFindBar, []);
  useEffect(() => {
    const key = (event: KeyboardEvent) => pressed(event);
    window.addEventListener('keydown', key, true);
    return () => window.removeEventListener('keydown', key, true);
  }, []);
}

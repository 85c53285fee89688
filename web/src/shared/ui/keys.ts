import { useEffect, useRef } from 'react';

/** Whether somebody is typing, so that single letters are letters. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Whether a dialog or a menu has the keys. */
export function isAsked(): boolean {
  return document.querySelector('[role="dialog"], [role="menu"]') !== null;
}

/**
 * Single keys that act while nobody is typing and no dialog or menu is open. Names are those of `KeyboardEvent.key`, lower case;
 * `shift+` before those that are no letter.
 *
 * @param first these go before those of other places that have the same key
 */
export function useKeys(acts: Record<string, (() => void) | undefined>, first = false): void {
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (isAsked()) return;
      const key = event.key.toLowerCase();
      const act = latest.current[event.shiftKey && key.length > 1 ? `shift+${key}` : key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', pressed, first);
    return () => window.removeEventListener('keydown', pressed, first);
  }, [first]);
}

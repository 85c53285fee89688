import { useContext, useEffect, useRef } from 'react';
import { MeContext } from './me';

/** Fields that take no letters. */
const UNTYPED = new Set(['checkbox', 'radio', 'button', 'submit', 'reset', 'color', 'file', 'image']);

/** Whether someone is typing, so that single letters are letters. */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement) return !UNTYPED.has(target.type);
  return target.isContentEditable || /^(TEXTAREA|SELECT)$/.test(target.tagName);
}

/** What Enter presses by itself, when the keys are on it. */
const PRESSABLE =
  'a[href], button, input, select, textarea, summary, [role="button"], [role="row"][tabindex], [role="link"]';

/** Whether a key belongs to what it is pressed on: Enter on a button or a link presses that and nothing else. */
function belongsToTarget(event: KeyboardEvent): boolean {
  const pressing = event.key === 'Enter' || event.key === ' ';
  return pressing && event.target instanceof Element && event.target.closest(PRESSABLE) !== null;
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
  const letters = useContext(MeContext)?.page.letterKeys ?? true;
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (isAsked() || belongsToTarget(event)) return;
      const key = event.key.toLowerCase();
      // Each person may switch off keys that are a single character (WCAG 2.1.4).
      if (!letters && key.length === 1) return;
      const act = latest.current[event.shiftKey && key.length > 1 ? `shift+${key}` : key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', pressed, first);
    return () => window.removeEventListener('keydown', pressed, first);
  }, [first, letters]);
}

import { useEffect, useRef } from 'react';
import { isAsked, isTyping } from '../../shared/ui';

/** Keys that mean the conversation one stands at. */
const MEANT = new Set(['t', 'l', 'h', 'd', 'o', 'a', 'x', 'b', 'r', 'n', 'i']);
/** While several are chosen these mean all of them, whatever is shown. */
const MEANT_FOR_SEVERAL = new Set(['b', 'a', 'd', 'r']);
/** After these one writes. */
const BEGIN = new Set(['r', 'n']);
/** Who has waited this long for a script does not expect the key to act any more. */
const LONGEST_MS = 3_000;

interface Press {
  key: string;
  shiftKey: boolean;
}

function pressAgain({ key, shiftKey }: Press): void {
  const at = document.activeElement ?? document.body;
  if (isTyping(at) && key.length === 1) {
    // Writes as a person does, so that it can be undone; old, and without a successor.
    document.execCommand('insertText', false, key);
    return;
  }
  at.dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, bubbles: true, cancelable: true }));
}

/**
 * Whoever knows what to do is faster than a script is drawn. A key that means the conversation one stands at waits until that one is
 * there, and so does all that is typed after it: it never acts on the one before, and is not lost. Escape takes it back.
 *
 * @param ready whether what one stands at is shown; nothing is held then
 * @param several whether several are chosen
 */
export function useHeldKeys(ready: boolean, several: boolean): void {
  const held = useRef<{ presses: Press[]; since: number; again: boolean }>({ presses: [], since: 0, again: false });
  const latest = useRef({ ready, several });
  useEffect(() => {
    latest.current = { ready, several };
  });
  useEffect(() => {
    const keys = held.current;
    const pressed = (event: KeyboardEvent) => {
      if (Date.now() - keys.since > LONGEST_MS) keys.presses = [];
      const holds = keys.presses.length > 0;
      if (keys.again || event.ctrlKey || event.metaKey || event.altKey || event.key === 'Shift') return;
      if (holds && event.key === 'Escape') {
        keys.presses = [];
        return;
      }
      if (!holds) {
        const key = event.key.toLowerCase();
        const now = latest.current;
        if (now.ready || !MEANT.has(key) || (now.several && MEANT_FOR_SEVERAL.has(key))) return;
        if (isTyping(event.target) || isAsked()) return;
        keys.since = Date.now();
      }
      event.preventDefault();
      event.stopImmediatePropagation();
      keys.presses.push({ key: event.key, shiftKey: event.shiftKey });
    };
    window.addEventListener('keydown', pressed, true);
    return () => window.removeEventListener('keydown', pressed, true);
  }, []);
  useEffect(() => {
    const keys = held.current;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const goOn = () => {
      const next = latest.current.ready && Date.now() - keys.since <= LONGEST_MS ? keys.presses.shift() : undefined;
      if (!next) return;
      keys.again = true;
      pressAgain(next);
      keys.again = false;
      // What was to be written is no row of commands when there is no paper to write it on.
      if (BEGIN.has(next.key.toLowerCase()) && !isTyping(document.activeElement)) keys.presses = [];
      timer = setTimeout(goOn);
    };
    if (ready) timer = setTimeout(goOn);
    return () => clearTimeout(timer);
  }, [ready]);
}

import { useEffect, useRef } from 'react';
import { isAsked, isTyping, useMe } from '../../shared/ui';

/** Keys that mean the conversation one stands at. */
const MEANT = new Set(['t', 'l', 'h', 'd', 'o', 'a', 'x', 'b', 'r', 'n', 'i']);
/** While several are chosen these mean all of them, whatever is shown. */
const MEANT_FOR_SEVERAL = new Set(['b', 'a', 'd', 'r']);
/** After these one writes. */
const BEGIN = new Set(['r', 'n']);
/** Who has waited this long for a script does not expect the key to act any more. What was to be written is kept however long. */
const LONGEST_MS = 3_000;
/** Words typed outside a field are not commands either: a person who types on meanwhile can finish. */
const PAUSE_MS = 1_500;

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

const begins = ({ key }: Press) => BEGIN.has(key.toLowerCase());

/**
 * The person who knows what to do is faster than a script is drawn. A key that means the conversation one stands at waits until that one is
 * there, and so does all that is typed after it: it never acts on the one before, and is not lost. Escape takes it back.
 *
 * @param ready whether what one stands at is shown; nothing is held then
 * @param several whether several are chosen
 */
export function useHeldKeys(ready: boolean, several: boolean): void {
  const held = useRef<{ presses: Press[]; since: number; again: boolean; deafUntil: number }>({
    presses: [],
    since: 0,
    again: false,
    deafUntil: 0,
  });
  const letters = useMe().page.letterKeys;
  const latest = useRef({ ready, several, letters });
  useEffect(() => {
    latest.current = { ready, several, letters };
  });
  useEffect(() => {
    const keys = held.current;
    const pressed = (event: KeyboardEvent) => {
      if (keys.again) return;
      if (Date.now() - keys.since > LONGEST_MS && !keys.presses.some(begins)) keys.presses = [];
      const holds = keys.presses.length > 0;
      if (!holds && Date.now() < keys.deafUntil && event.key.length === 1 && !isTyping(event.target)) {
        keys.deafUntil = Date.now() + PAUSE_MS;
        event.preventDefault();
        event.stopImmediatePropagation();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey || event.key === 'Shift') return;
      if (holds && event.key === 'Escape') {
        keys.presses = [];
        return;
      }
      if (!holds) {
        const key = event.key.toLowerCase();
        const now = latest.current;
        if (!now.letters || now.ready || !MEANT.has(key) || (now.several && MEANT_FOR_SEVERAL.has(key))) return;
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
      const soon = Date.now() - keys.since <= LONGEST_MS || keys.presses.some(begins);
      const next = latest.current.ready && soon ? keys.presses.shift() : undefined;
      if (!next) return;
      keys.again = true;
      pressAgain(next);
      keys.again = false;
      // What was to be written is no row of commands when there is no paper to write it on.
      if (begins(next) && !isTyping(document.activeElement)) {
        keys.presses = [];
        keys.deafUntil = Date.now() + PAUSE_MS;
      }
      // The words that follow are as wanted as the key that began them, however long the paper took.
      if (begins(next)) keys.since = Date.now();
      timer = setTimeout(goOn);
    };
    if (ready) timer = setTimeout(goOn);
    return () => clearTimeout(timer);
  }, [ready]);
}

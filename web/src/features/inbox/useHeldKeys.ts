import { useEffect, useRef } from 'react';
import { isAsked, isTyping, useMe, useShowsAddress } from '../../shared/ui';

/** Keys that act on the current conversation. */
const MEANT = new Set(['t', 'l', 'h', '+', 'd', 'o', 'a', 'x', 'b', 'r', 'n', 'f', 'i', 'c', 'p', 'q', '-', '.']);
/** Keys that say that a customer who is proposed is the writer. Nobody can mean a customer they have not seen. */
const PROPOSED = new Set(['y', 'j', 'k']);
/** While several are chosen these mean all of them, whatever is shown. */
const MEANT_FOR_SEVERAL = new Set(['b', 'a', 'd', 'r']);
/** After these the user writes. */
const BEGIN = new Set(['r', 'n', 'p', 'q']);
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
 * The person who knows what to do is faster than a script is drawn. A key that acts on the current conversation waits until that one is
 * there, and so does all that is typed after it: it never acts on the one before, and is not lost. Escape takes it back. A link that was
 * followed counts at once, although what it leads to is drawn when there is time.
 *
 * @param ready whether the current conversation is shown; nothing is held then
 * @param several whether several are chosen
 */
export function useHeldKeys(ready: boolean, several: boolean): void {
  const held = useRef<{ presses: Press[]; since: number; again: boolean; began: boolean; deafUntil: number }>({
    presses: [],
    since: 0,
    again: false,
    began: false,
    deafUntil: 0,
  });
  const letters = useMe().page.letterKeys;
  const showsAddress = useShowsAddress();
  const isReady = () => ready && showsAddress();
  const latest = useRef({ isReady, several, letters });
  useEffect(() => {
    latest.current = { isReady, several, letters };
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
        if (!now.letters || now.isReady() || (now.several && MEANT_FOR_SEVERAL.has(key))) return;
        if (!(MEANT.has(key) || PROPOSED.has(key)) || isTyping(event.target) || isAsked()) return;
        keys.since = Date.now();
      }
      event.preventDefault();
      event.stopImmediatePropagation();
      if (PROPOSED.has(event.key.toLowerCase()) && !keys.presses.some(begins)) return;
      keys.presses.push({ key: event.key, shiftKey: event.shiftKey });
    };
    window.addEventListener('keydown', pressed, true);
    return () => window.removeEventListener('keydown', pressed, true);
  }, []);
  useEffect(() => {
    const keys = held.current;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const goOn = () => {
      // What was to be written is no row of commands when there is no paper to write it on.
      if (keys.began && !isTyping(document.activeElement)) {
        keys.presses = [];
        keys.deafUntil = Date.now() + PAUSE_MS;
      }
      keys.began = false;
      const soon = Date.now() - keys.since <= LONGEST_MS || keys.presses.some(begins);
      const next = latest.current.isReady() && soon ? keys.presses.shift() : undefined;
      if (!next) return;
      const typing = isTyping(document.activeElement);
      keys.again = true;
      pressAgain(next);
      keys.again = false;
      // The words that follow are as wanted as the key that began them, however long the paper took.
      keys.began = begins(next) && !typing;
      if (keys.began) keys.since = Date.now();
      timer = setTimeout(goOn);
    };
    if (keys.presses.length > 0 || keys.began) timer = setTimeout(goOn);
    return () => clearTimeout(timer);
  });
}

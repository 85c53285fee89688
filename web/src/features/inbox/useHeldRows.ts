import { type RefObject, useEffect, useRef, useState } from 'react';
import type { Conversation } from '../../shared/api';
import { isTyping, OWN_ACT } from '../../shared/ui';
import { hold } from './model/quiet';

/** A pointer that rests on the list this long is not about to click. */
const POINTER_RESTS_MS = 5_000;
const KEYS_REST_MS = 1_500;
const LOOK_EVERY_MS = 400;
/** After an act of the person's own the list follows at once for as long as its answer takes. */
const OWN_ACT_MS = 1_500;

/** Whether someone is about to click or press a key in the list. */
function useBusy(list: RefObject<HTMLElement | null>) {
  const pointer = useRef(0);
  const key = useRef(0);
  const own = useRef(0);
  useEffect(() => {
    const moved = (event: PointerEvent) => {
      const inside = event.target instanceof Node && (list.current?.contains(event.target) ?? false);
      pointer.current = inside ? Date.now() : 0;
    };
    const pressed = (event: KeyboardEvent) => {
      if (!isTyping(event.target)) key.current = Date.now();
    };
    const acted = () => {
      own.current = Date.now();
    };
    window.addEventListener('pointermove', moved);
    window.addEventListener('pointerdown', moved);
    window.addEventListener('keydown', pressed);
    window.addEventListener(OWN_ACT, acted);
    return () => {
      window.removeEventListener('pointermove', moved);
      window.removeEventListener('pointerdown', moved);
      window.removeEventListener('keydown', pressed);
      window.removeEventListener(OWN_ACT, acted);
    };
  }, [list]);
  return () => {
    const now = Date.now();
    if (now - own.current < OWN_ACT_MS) return false;
    return now - pointer.current < POINTER_RESTS_MS || now - key.current < KEYS_REST_MS;
  };
}

/**
 * The rows of the list, in an order that does not change while someone is about to click.
 *
 * @param of which list it is; another one is shown at once
 */
export function useHeldRows(fresh: Conversation[], of: string, list: RefObject<HTMLElement | null>) {
  const busy = useBusy(list);
  const [shown, setShown] = useState({ of, rows: fresh });
  const held = shown.of === of ? hold(shown.rows, fresh) : { rows: fresh, waiting: 0 };
  const release = () => setShown({ of, rows: fresh });
  const latest = useRef(release);
  const isBusy = useRef(busy);
  useEffect(() => {
    latest.current = release;
    isBusy.current = busy;
  });
  useEffect(() => {
    if (!isBusy.current()) latest.current();
  }, [fresh, of]);
  useEffect(() => {
    if (held.waiting === 0) return undefined;
    const timer = setInterval(() => {
      if (!isBusy.current()) latest.current();
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [held.waiting]);
  return { ...held, release };
}

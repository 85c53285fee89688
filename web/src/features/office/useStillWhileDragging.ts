import { useEffect, useState } from 'react';

const ENDS = ['dragend', 'drop', 'pointermove'] as const;

/**
 * What is shown, as it was when something began to be dragged until that is over: what comes in meanwhile would move other people under
 * the pointer.
 */
export function useStillWhileDragging<T>(fresh: T) {
  const [held, setHeld] = useState<{ shown: T }>();
  useEffect(() => {
    if (!held) return undefined;
    const end = () => setHeld(undefined);
    // What was dragged may be gone by then and say nothing: a pointer that moves drags nothing any more.
    ENDS.forEach((event) => window.addEventListener(event, end));
    return () => ENDS.forEach((event) => window.removeEventListener(event, end));
  }, [held]);
  return { shown: held ? held.shown : fresh, hold: () => setHeld({ shown: fresh }) };
}

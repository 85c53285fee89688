import { useCallback, useEffect, useRef, useState } from 'react';

/** Who has typed nothing for this long is not writing any more, though words may lie on the paper. */
export const TYPED_LATELY_MS = 10_000;

/** Whether someone is writing: they typed something within the last ten seconds. The setter is told at every stroke. */
export function useTypedLately(): [boolean, (typed: boolean) => void] {
  const [writing, setWriting] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const typed = useCallback((now: boolean) => {
    clearTimeout(timer.current);
    setWriting(now);
    if (now) timer.current = setTimeout(() => setWriting(false), TYPED_LATELY_MS);
  }, []);
  return [writing, typed];
}

import { useCallback, useInsertionEffect, useRef } from 'react';

/** A function that stays the same from one drawing to the next and does what the last one given does. For handlers, not while drawing. */
export function useStable<A extends unknown[], R>(latest: (...args: A) => R): (...args: A) => R {
  const current = useRef(latest);
  useInsertionEffect(() => {
    current.current = latest;
  });
  return useCallback((...args: A) => current.current(...args), []);
}

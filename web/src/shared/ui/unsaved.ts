import { useEffect, useRef } from 'react';

/** Forms in which something was changed and not saved yet. */
const changed = new Set<object>();
const listeners = new Set<() => void>();

function set(form: object, is: boolean): void {
  if (is) changed.add(form);
  else changed.delete(form);
  for (const listener of listeners) listener();
}

/** Tells whenever something begins or ceases to be unsaved; the answer ends that. */
export function onUnsaved(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether leaving now would lose something that was changed and not saved. */
export function anythingUnsaved(): boolean {
  return changed.size > 0;
}

/**
 * While something is changed and not saved, leaving the page is asked about.
 *
 * @returns what says at once that it is saved or given up, before the page is drawn again
 */
export function useUnsaved(is: boolean): () => void {
  const form = useRef({});
  useEffect(() => {
    const { current } = form;
    set(current, is);
    return () => set(current, false);
  }, [is]);
  return () => set(form.current, false);
}

import { useEffect, useRef } from 'react';

/** Forms in which something was changed and not saved yet. */
const changed = new Set<object>();

/** Whether leaving now would lose something that was changed and not saved. */
export function anythingUnsaved(): boolean {
  return changed.size > 0;
}

/**
 * While something is changed and not saved, leaving the page is asked about.
 *
 * @returns what says at once that it is saved or given up, before the page is drawn anew
 */
export function useUnsaved(is: boolean): () => void {
  const form = useRef({});
  useEffect(() => {
    const { current } = form;
    if (is) changed.add(current);
    else changed.delete(current);
    return () => {
      changed.delete(current);
    };
  }, [is]);
  return () => changed.delete(form.current);
}

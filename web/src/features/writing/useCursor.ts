import { type RefObject, useSyncExternalStore } from 'react';

const follow = (moved: () => void) => {
  document.addEventListener('selectionchange', moved);
  return () => document.removeEventListener('selectionchange', moved);
};

/** Where the cursor stands on the paper, also where it was before this part of the page was there. */
export function useCursor(field: RefObject<HTMLTextAreaElement | null>): number {
  return useSyncExternalStore(follow, () => field.current?.selectionStart ?? 0);
}

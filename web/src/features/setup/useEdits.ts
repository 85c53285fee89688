import { useState } from 'react';

/**
 * What is set up, with what one has changed of it here and not saved yet. What a colleague saves meanwhile comes through
 * wherever one has changed nothing, so that saving takes none of it back.
 */
export function useEdits<T extends object>(first: T) {
  const [edits, setEdits] = useState<Partial<T>>({});
  const now: T = { ...first, ...edits };
  return {
    now,
    changed: JSON.stringify(now) !== JSON.stringify(first),
    change: (next: Partial<T>) => setEdits({ ...edits, ...next }),
    asItWas: () => setEdits({}),
  };
}

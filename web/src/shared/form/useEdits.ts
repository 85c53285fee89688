import { useState } from 'react';
import { useUnsaved } from '../ui';

/** A field as the user wants it, and as it was when they began to change it. */
interface Edit {
  was: unknown;
  now: unknown;
}

function same(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/**
 * What is set up, with what the user has changed of it here and not saved yet. What a colleague saves meanwhile comes through
 * wherever the user has changed nothing, so that saving takes none of it back; where both have changed something, it is said.
 */
export function useEdits<T extends object>(first: T) {
  const [edits, setEdits] = useState<Partial<Record<keyof T, Edit>>>({});
  const fields = Object.keys(edits) as (keyof T)[];
  const now = { ...first, ...Object.fromEntries(fields.map((field) => [field, edits[field]?.now])) };
  const isChanged = !same(now, first);
  const settled = useUnsaved(isChanged);
  return {
    now,
    changed: isChanged,
    /** What a colleague has changed otherwise since one began to change it here. */
    crossed: fields.filter((field) => !same(first[field], edits[field]?.was) && !same(first[field], now[field])),
    change: (next: Partial<T>) => {
      const begun = (Object.keys(next) as (keyof T)[]).map((field) => [
        field,
        { was: edits[field] ? edits[field].was : first[field], now: next[field] },
      ]);
      setEdits({ ...edits, ...(Object.fromEntries(begun) as Partial<Record<keyof T, Edit>>) });
    },
    asItWas: () => {
      settled();
      setEdits({});
    },
  };
}

import { type KeyboardEvent, useState } from 'react';

interface Walked {
  count: number;
  keyAt: (index: number) => number;
  /** How many rows a person sees at once. */
  pageSize: () => number;
  onWalked: (index: number) => void;
}

/**
 * The current row of a table, and which rows are chosen. Arrows, Page, Home and End walk; with Shift they choose what they pass; the space
 * bar chooses one, Ctrl+A all that is read, Escape none.
 */
export function useWalk({ count, keyAt, pageSize, onWalked }: Walked) {
  const [at, setAt] = useState(0);
  const [begun, setBegun] = useState(0);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const toggle = (index: number) => {
    const next = new Set(chosen);
    if (!next.delete(keyAt(index))) next.add(keyAt(index));
    setChosen(next);
    setAt(index);
    setBegun(index);
  };
  const span = (from: number, to: number) => {
    const keys = Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => keyAt(Math.min(from, to) + i));
    setChosen(new Set(keys));
  };
  const clear = () => setChosen(new Set());
  const go = (to: number, choosing: boolean) => {
    const next = Math.max(0, Math.min(count - 1, to));
    setAt(next);
    if (choosing) span(begun, next);
    else setBegun(next);
    onWalked(next);
  };
  const steps: Partial<Record<string, () => number>> = {
    ArrowDown: () => at + 1,
    ArrowUp: () => at - 1,
    PageDown: () => at + pageSize(),
    PageUp: () => at - pageSize(),
    Home: () => 0,
    End: () => count - 1,
  };
  const pressed = (event: KeyboardEvent) => {
    const step = steps[event.key];
    if (event.target !== event.currentTarget || count === 0) return;
    if (step) go(step(), event.shiftKey);
    else if (event.key === ' ') toggle(at);
    else if (event.key === 'a' && (event.ctrlKey || event.metaKey)) span(0, count - 1);
    else if (event.key === 'Escape' && chosen.size > 0) clear();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return { at, chosen, pressed, toggle, clear };
}

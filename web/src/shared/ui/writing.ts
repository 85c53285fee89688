import { useSyncExternalStore } from 'react';

/** Where the user writes while moving about: in which conversation the writing place stays open. Kept in this tab, over a reload. */
const KEPT = 'fabulum.writing-in';
const listeners = new Set<() => void>();

function now(): number | undefined {
  const kept = Number(sessionStorage.getItem(KEPT));
  return kept > 0 ? kept : undefined;
}

/** Opens the writing place of a conversation, or closes it; its draft is kept. */
export function openWriting(conversation: number | undefined): void {
  if (conversation === undefined) sessionStorage.removeItem(KEPT);
  else sessionStorage.setItem(KEPT, String(conversation));
  listeners.forEach((listener) => listener());
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** In which conversation the writing place stays open. */
export function useOpenWriting(): number | undefined {
  return useSyncExternalStore(subscribe, now);
}

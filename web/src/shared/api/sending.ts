import type { QueryClient } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';

/** What is done to one conversation is done in the order in which it was pressed: nothing overtakes a text on its way. */
export function sendScope(conversation: number): { id: string } {
  return { id: `conversation ${conversation}` };
}

/** Under which texts and notes to a conversation are on their way. */
export function sendingKey(conversation: number) {
  return ['send', conversation] as const;
}

/** Whether a text or note to a conversation is on its way just now. */
export function isSending(queries: QueryClient, conversation: number): boolean {
  return queries.isMutating({ mutationKey: sendingKey(conversation) }) > 0;
}

function subscribe(listener: () => void): () => void {
  window.addEventListener('online', listener);
  window.addEventListener('offline', listener);
  return () => {
    window.removeEventListener('online', listener);
    window.removeEventListener('offline', listener);
  };
}

/** Whether the browser has a connection, as it says itself; known the moment it is lost. */
export function useOnline(): boolean {
  return useSyncExternalStore(subscribe, () => navigator.onLine);
}

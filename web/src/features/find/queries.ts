import { queryOptions } from '@tanstack/react-query';
import { ask } from '../../shared/api';
import { quoted } from '../../shared/sentence';

/** Where words are looked for: in one conversation, or in all that was said with a customer. */
export type FindIn = { conversation: number } | { customer: number };

/** The most lines of a story in which words are found. */
const MOST = 100;

/** Lines that have some words, the newest first. */
export const findQuery = (place: FindIn, words: string) =>
  queryOptions({
    // Below the key of scripts, so that what is new is found again.
    queryKey: ['script', 'find', place, words] as const,
    queryFn: () =>
      'conversation' in place
        ? ask('GET', '/api/conversations/{id}/find', { path: { id: place.conversation }, query: { words } })
        : ask('GET', '/api/history', {
            query: {
              sentence: `everything; ever; customer ${place.customer}; mention ${quoted(words)}`,
              limit: MOST,
            },
          }),
    staleTime: 0,
  });

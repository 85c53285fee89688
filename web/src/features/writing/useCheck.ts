import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { ask, type Check, type Conversation } from '../../shared/api';

/** What is asked about: the words and all that belongs to them. */
interface Asked {
  words: string;
  reference: string;
  seen: number | undefined;
  attachments: number[];
}

/** An answer that takes longer than this is not waited for before the next words are asked about. */
const SLOW_MS = 300;

/**
 * What speaks against the words and what they cost, by the server: asked while the user types, so that it is said before the button is pressed. Also
 * of no words, since a number may not get any; none while the server has not answered. The first key is asked about at once; those
 * that come before the answer are asked about together.
 * `fresh` when it is about these very words, and not about those of a moment ago.
 *
 * @param reference under which they are sent: an attempt whose answer got lost does not speak against them
 * @param seen the newest line that stood there when they were begun
 * @param attachments what is to go with them
 * @param version of the conversation: what the customer wrote meanwhile can change it
 */
export function useCheck(
  { id, version }: Conversation,
  words: string | undefined,
  reference: string,
  seen: number | undefined,
  attachments: number[],
): { check: Check | undefined; fresh: boolean } {
  const now = words === undefined ? undefined : JSON.stringify({ words, reference, seen, attachments });
  // Settled together: words that went out are never asked about under the reference of the next ones.
  const [settled, setSettled] = useState(now);
  const query = useQuery({
    queryKey: ['check', id, version, settled],
    queryFn: async () => ({
      about: settled,
      check: await ask('POST', '/api/conversations/{id}/texts/check', {
        path: { id },
        body: JSON.parse(settled ?? '') as Asked,
      }),
    }),
    enabled: settled !== undefined,
    placeholderData: keepPreviousData,
    // The same words sent a moment ago may be sent now, and the night begins.
    staleTime: 10_000,
    gcTime: 30_000,
    retry: false,
  });
  const asking = query.isFetching;
  if (!asking && settled !== now) setSettled(now);
  useEffect(() => {
    if (!asking) return undefined;
    const timer = setTimeout(() => setSettled(now), SLOW_MS);
    return () => clearTimeout(timer);
  }, [now, asking]);
  const told = now === undefined ? undefined : query.data;
  return { check: told?.check, fresh: told?.about === now };
}

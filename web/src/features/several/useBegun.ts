import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ask } from '../../shared/api';

const TELL_AFTER_MS = 1_000;

/** Words to several, with the reference of the act to come: however often that is tried, it is done once. */
export interface Begun {
  words: string;
  reference: string;
}

function place(staff: number): string {
  return `fabulum.draft.${staff}.several`;
}

function read(staff: number): Begun | undefined {
  const kept = localStorage.getItem(place(staff));
  if (kept === null) return undefined;
  try {
    const begun = JSON.parse(kept) as Partial<Begun> | null;
    const whole = typeof begun?.words === 'string' && typeof begun.reference === 'string';
    return whole ? (begun as Begun) : undefined;
  } catch {
    return undefined;
  }
}

/**
 * The words that were begun to several. Kept in this browser at every stroke and on the server soon after, under the reference
 * by which they will be sent.
 *
 * The paper is there at once: what the server kept is read as soon as several are chosen, and does not take the place of what the user has
 * typed meanwhile.
 */
export function useBegun(staff: number) {
  const [local, setLocal] = useState(() => read(staff));
  const kept = useQuery({
    queryKey: ['several', 'draft'],
    queryFn: () => ask('GET', '/api/several/draft'),
    enabled: local === undefined,
    staleTime: Infinity,
    gcTime: 0,
  });
  const [fresh, setFresh] = useState(() => crypto.randomUUID() as string);
  const begun: Begun = local ?? kept.data?.begun ?? { words: '', reference: fresh };
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const keep = useCallback(
    (next: Begun) => {
      setLocal(next);
      if (next.words === '') localStorage.removeItem(place(staff));
      else localStorage.setItem(place(staff), JSON.stringify(next));
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        // Not told is not lost: this browser has it.
        ask('PUT', '/api/several/draft', { body: next }).catch(() => undefined);
      }, TELL_AFTER_MS);
    },
    [staff],
  );
  return {
    begun,
    write: (words: string) => keep({ words, reference: begun.reference }),
    /** The act has begun, and the server threw its draft away. */
    sent: () => {
      clearTimeout(timer.current);
      localStorage.removeItem(place(staff));
      const next = crypto.randomUUID();
      setFresh(next);
      setLocal({ words: '', reference: next });
    },
  };
}

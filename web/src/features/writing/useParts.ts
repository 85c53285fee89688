import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { ask, type Parts } from '../../shared/api';

const SETTLE_MS = 120;

/** What the words cost, by the server's count; asked for when one stops typing for a moment. */
export function useParts(words: string): Parts | undefined {
  const [settled, setSettled] = useState(words);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(words), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [words]);
  const query = useQuery({
    queryKey: ['parts', settled],
    queryFn: () => ask('POST', '/api/parts', { body: { words: settled } }),
    enabled: settled !== '',
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 30_000,
    retry: false,
  });
  return words === '' ? undefined : query.data;
}

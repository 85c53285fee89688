import { infiniteQueryOptions, keepPreviousData } from '@tanstack/react-query';
import { ask } from '../../shared/api';

/** While not all can be found yet, it is looked again this often. */
const PREPARING_MS = 3_000;

/** What a sentence means, the newest first. */
export const historyQuery = (sentence: string) =>
  infiniteQueryOptions({
    queryKey: ['history', sentence] as const,
    queryFn: ({ pageParam }) => ask('GET', '/api/history', { query: { sentence, limit: 50, from: pageParam } }),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
    staleTime: 0,
    refetchInterval: ({ state }) => ((state.data?.pages[0]?.percent ?? 100) < 100 ? PREPARING_MS : false),
  });

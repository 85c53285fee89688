import { keepPreviousData, type QueryKey, useQuery, type UseQueryOptions } from '@tanstack/react-query';
import { useDeferredValue } from 'react';

/**
 * What the server understands of words while they are typed: nothing until the last ones are answered. Read once more in the background it
 * stays; an answer to words that were changed since is not used again, for “in 3 h” means another time a moment later.
 */
export function useTyped<T, K extends QueryKey>(
  words: string,
  query: (words: string) => UseQueryOptions<T, Error, T, K>,
) {
  const asked = useDeferredValue(words);
  const { data, error, isPlaceholderData } = useQuery({
    ...query(asked),
    gcTime: 0,
    placeholderData: keepPreviousData,
  });
  const isSettled = words.trim() !== '' && asked === words && !isPlaceholderData;
  return { settled: isSettled ? data : undefined, error };
}

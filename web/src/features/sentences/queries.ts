import { queryOptions } from '@tanstack/react-query';
import { ask, keys, type SavedSentence, TIME_RUNS_MS } from '../../shared/api';

/** A sentence as it is saved: what it says and where, in the inbox with its group and order. */
export type Sayable = Pick<SavedSentence, 'said' | 'place' | 'group' | 'order'>;

/** My saved sentences and my teams', with how many they mean now. */
export const sentencesQuery = queryOptions({
  queryKey: keys.sentences,
  queryFn: () => ask('GET', '/api/sentences'),
  refetchInterval: TIME_RUNS_MS,
});

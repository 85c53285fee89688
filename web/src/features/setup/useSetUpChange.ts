import { useMutation, useQueryClient } from '@tanstack/react-query';
import { readAllAgain } from '../../shared/api';
import type { Outcome } from './outcome';

/** Changes the set-up by one press, at once for everyone. */
export function useSetUpChange() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: () => Promise<Outcome>) => change(),
    onSettled: () => readAllAgain(queries),
  });
}

import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ApiProblem, ask, readAllAgain } from '../../shared/api';
import type { Outcome } from './outcome';

interface Change {
  method: 'POST' | 'PUT';
  /** Under the set-up. */
  path: string;
  body: unknown;
}

/** Changes the set-up, at once for everyone. What a colleague was faster to change is read again, so that one sees it. */
export function useSetUpChange() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ method, path, body }: Change) => ask<Outcome>(method, `/api/setup/${path}`, body),
    onSuccess: () => readAllAgain(queries),
    onError: (problem) => {
      if (problem instanceof ApiProblem && problem.type.endsWith(':changed-meanwhile')) void readAllAgain(queries);
    },
  });
}

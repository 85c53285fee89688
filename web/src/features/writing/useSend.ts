import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ApiProblem, ask, type Paper, readAgain } from '../../shared/api';
import { tellOwnAct } from '../../shared/ui';

const OTHER_WORDS = 'urn:fabulum:problem:sent-with-other-words';

/** Whether an earlier attempt under this reference went out with other words. */
export function wentOutDifferently(problem: unknown): boolean {
  return problem instanceof ApiProblem && problem.type === OTHER_WORDS;
}

/** Sends a reply or adds a note. Tried again under one reference, it goes out once. */
export function useSend(id: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ paper, words, reference }: { paper: Paper; words: string; reference: string }) =>
      ask('POST', `/api/conversations/${id}/${paper === 'NOTE' ? 'notes' : 'texts'}`, { words, reference }),
    onSettled: () => {
      tellOwnAct();
      readAgain(queries, id);
    },
  });
}

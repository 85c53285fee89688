import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';

type Act = 'take' | 'let-go' | 'done' | 'reopen';

/** What one does with a conversation. The live stream brings the result; should it be down, what is shown is read again. */
export function useActs(id: number) {
  const queries = useQueryClient();
  const act = useMutation({
    mutationFn: (what: Act) => ask('POST', `/api/conversations/${id}/${what}`),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: keys.dossier(id) });
      void queries.invalidateQueries({ queryKey: keys.script(id) });
      void queries.invalidateQueries({ queryKey: keys.lists });
      void queries.invalidateQueries({ queryKey: keys.counts });
      void queries.invalidateQueries({ queryKey: keys.ribbon });
    },
  });
  return {
    take: () => act.mutate('take'),
    letGo: () => act.mutate('let-go'),
    finish: () => act.mutate('done'),
    reopen: () => act.mutate('reopen'),
    problem: act.error,
  };
}

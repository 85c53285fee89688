import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { ask, readListsAgain, type SeveralAct } from '../../shared/api';
import { offerUndo, tellOwnAct } from '../../shared/ui';

/** How often its progress is asked for. */
const LOOK_MS = 300;

const DONE_WORDS = { TOPIC: 'Topic added', SET_ASIDE: 'Set aside', DONE: 'Done', TEXT: 'Texts sent' };

/** Looks at what an act on several would come to, then does it and follows it to its end. */
export function useSeveral(act: SeveralAct, given?: string, onBegun?: () => void) {
  const queries = useQueryClient();
  const [batch, setBatch] = useState<number>();
  const reference = useRef<string>(given ?? crypto.randomUUID());
  const check = useQuery({
    queryKey: ['several', 'check', act],
    queryFn: () => ask('POST', '/api/several/check', { body: act }),
    staleTime: 0,
    gcTime: 0,
    retry: false,
  });
  const begin = useMutation({
    mutationFn: () => ask('POST', '/api/several', { body: { act, reference: reference.current } }),
    onSuccess: (begun) => {
      setBatch(begun.id);
      onBegun?.();
    },
  });
  const progress = useQuery({
    queryKey: ['several', 'batch', batch],
    queryFn: () => ask('GET', '/api/several/{id}', { path: { id: batch ?? 0 } }),
    enabled: batch !== undefined,
    refetchInterval: (query) => (query.state.data?.running === false ? false : LOOK_MS),
  });
  const result = progress.data;
  useEffect(() => {
    if (!result || result.running) return;
    tellOwnAct();
    readListsAgain(queries);
    if (result.undo)
      offerUndo({ words: `${DONE_WORDS[result.what]}: ${result.done} conversations`, back: { undo: result.undo } });
  }, [result, queries]);
  return { check, begin, result };
}

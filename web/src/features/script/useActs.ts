import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type ActAnswer, ask, type MomentKind, readAgain } from '../../shared/api';
import { offerUndo, tellOwnAct } from '../../shared/ui';

interface Act {
  method: 'POST' | 'PUT' | 'DELETE';
  path: string;
  body?: unknown;
  /** What is said beside the way to take it back; nothing for what is as easily done the other way round. */
  said?: string;
}

/** What one does with a conversation. The live stream brings the result; should it be down, what is shown is read again. */
export function useActs(id: number, name: string) {
  const queries = useQueryClient();
  const act = useMutation({
    mutationFn: ({ method, path, body }: Act) => ask<ActAnswer>(method, `/api/conversations/${id}/${path}`, body),
    onSuccess: (answer, { said }) => {
      if (said && answer.undo) offerUndo({ words: `${said}: ${name}`, undo: answer.undo });
      tellOwnAct();
    },
    onSettled: () => readAgain(queries, id),
  });
  const post = (path: string, said?: string, body?: unknown) => () =>
    act.mutate({ method: 'POST', path, body, ...(said ? { said } : {}) });
  return {
    /** `shown` is whose it is where one looks, 0 for nobody's: when a colleague has it by now, it is refused and says who. */
    take: (shown: number) => post('take', undefined, { shown })(),
    handOver: (to: { person?: number; team?: number }, why: string, said: string) =>
      post('hand-over', said, { ...to, why })(),
    letGo: post('let-go', 'Let go'),
    finish: post('done', 'Done'),
    reopen: post('reopen'),
    takeUp: post('take-up'),
    needsNoAnswer: post('no-answer-needed', 'No answer needed'),
    setAside: (kind: MomentKind, at?: string) => post('set-aside', 'Set aside', { kind, at })(),
    addTopic: (topic: number) => act.mutate({ method: 'PUT', path: `topics/${topic}` }),
    removeTopic: (topic: number, word: string) =>
      act.mutate({ method: 'DELETE', path: `topics/${topic}`, said: `No longer about ${word}` }),
    problem: act.error,
    busy: act.isPending,
  };
}

export type Acts = ReturnType<typeof useActs>;

import { type QueryClient, useMutation, useQueryClient } from '@tanstack/react-query';
import {
  type ActAnswer,
  ApiProblem,
  ask,
  isSending,
  type MomentKind,
  readAgain,
  sendingKey,
  sendScope,
  type Shown,
  shownNow,
} from '../../shared/api';
import { offerUndo, tellMovedOn, tellOwnAct } from '../../shared/ui';

interface Act {
  method: 'POST' | 'PUT' | 'DELETE';
  path: string;
  body?: unknown;
  /** What is said beside the way to take it back; nothing for what is as easily done the other way round. */
  said?: string;
  /** Pressed while a text was on its way: done only once that went out. */
  after: boolean;
  /** Done with it for now, so the next in the list can be opened. */
  movesOn?: boolean;
}

const NOT_SENT = 'The last text did not go out, so this was not done. Your words are kept; send them first.';

/** Whether the last text or note to a conversation went out. */
function wentOut(queries: QueryClient, id: number): boolean {
  const sendings = queries.getMutationCache().findAll({ mutationKey: sendingKey(id) });
  return sendings[sendings.length - 1]?.state.status !== 'error';
}

/** What one does with a conversation. The live stream brings the result; should it be down, what is shown is read again. */
export function useActs(id: number, name: string) {
  const queries = useQueryClient();
  const act = useMutation({
    scope: sendScope(id),
    mutationFn: ({ method, path, body, after }: Act) =>
      after && !wentOut(queries, id)
        ? Promise.reject(new ApiProblem('urn:fabulum:problem:not-sent', 409, NOT_SENT))
        : ask<ActAnswer>(method, `/api/conversations/${id}/${path}`, body),
    onSuccess: (answer, { said, movesOn }) => {
      if (said && answer.undo) offerUndo({ words: `${said}: ${name}`, undo: answer.undo });
      tellOwnAct();
      if (movesOn && answer.undo) tellMovedOn(id);
    },
    onSettled: () => readAgain(queries, id),
  });
  const go = (wanted: Omit<Act, 'after'>) => act.mutate({ ...wanted, after: isSending(queries, id) });
  const post =
    (path: string, said?: string, body?: unknown, movesOn = false) =>
    () =>
      go({ method: 'POST', path, body, movesOn, ...(said ? { said } : {}) });
  /** What came in that the page does not show yet is not put out of sight: it is refused then, and says so. */
  const putAway = (path: string, said: string, more: object = {}, movesOn = true) =>
    post(path, said, { ...more, shown: shownNow(queries, id) }, movesOn)();
  return {
    /** `shown` is whose it is where one looks, 0 for nobody's: when a colleague has it by now, it is refused and says who. */
    take: (shown: number) => post('take', undefined, { shown })(),
    handOver: (to: { person?: number; team?: number }, why: string, said: string) =>
      post('hand-over', said, { ...to, why }, true)(),
    letGo: post('let-go', 'Let go'),
    finish: () => putAway('done', 'Done'),
    /** Done with a text that was sent when the page showed this. */
    finishAfter: (shown: Shown) => post('done', 'Done', { shown }, true)(),
    reopen: post('reopen'),
    takeUp: post('take-up'),
    needsNoAnswer: () => putAway('no-answer-needed', 'No answer needed', {}, false),
    setAside: (kind: MomentKind, at?: string) => putAway('set-aside', 'Set aside', { kind, at }),
    addTopic: (topic: number) => go({ method: 'PUT', path: `topics/${topic}` }),
    removeTopic: (topic: number, word: string) =>
      go({ method: 'DELETE', path: `topics/${topic}`, said: `No longer about ${word}` }),
    leave: (text: number) => post(`texts/${text}/leave`, 'Left as it is')(),
    problem: act.error,
    busy: act.isPending,
  };
}

export type Acts = ReturnType<typeof useActs>;

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
import { offerUndo, tellMovedOn, tellOwnAct, UNDOABLE } from '../../shared/ui';

interface Act {
  go: () => Promise<ActAnswer>;
  /** What is said beside the way to take it back; nothing for what is as easily done the other way round. */
  said?: string;
  /** Pressed while a text was on its way: done only once that went out. */
  after: boolean;
  /** Done with it for now, so the next in the list can be opened. */
  movesOn?: boolean;
}

const NO_ANSWER = '/api/conversations/{id}/no-answer-needed';
type PutAway = '/api/conversations/{id}/done' | typeof NO_ANSWER;

const NOT_SENT = 'The last text did not go out, so this was not done. Your words are kept; send them first.';

/** Whether the last text or note to a conversation went out. */
function wentOut(queries: QueryClient, id: number): boolean {
  const sendings = queries.getMutationCache().findAll({ mutationKey: sendingKey(id) });
  return sendings[sendings.length - 1]?.state.status !== 'error';
}

/** Acts on a conversation. The live stream brings the result; should it be down, what is shown is read again. */
export function useActs(id: number, name: string) {
  const queries = useQueryClient();
  const act = useMutation({
    meta: UNDOABLE,
    scope: sendScope(id),
    mutationFn: ({ go, after }: Act) =>
      after && !wentOut(queries, id)
        ? Promise.reject(new ApiProblem('urn:fabulum:problem:not-sent', 409, NOT_SENT))
        : go(),
    onSuccess: (answer, { said, movesOn }) => {
      if (said && answer.undo) offerUndo({ words: `${said}: ${name}`, back: { undo: answer.undo } });
      tellOwnAct();
      if (movesOn && answer.undo) tellMovedOn(id);
    },
    onSettled: () => readAgain(queries, id),
  });
  const path = { id };
  const press = (go: Act['go'], said?: string, movesOn = false) =>
    act.mutate({ go, movesOn, after: isSending(queries, id), ...(said ? { said } : {}) });
  /** What came in that the page does not show yet is not put out of sight: it is refused then, and says so. */
  const putAway = (address: PutAway, said: string, shown = shownNow(queries, id)) =>
    press(() => ask('POST', address, { path, body: { shown } }), said, address !== NO_ANSWER);
  return {
    /** `shown` is whose it is as shown, 0 for nobody's: when a colleague has it by now, it is refused and says who. */
    take: (shown: number) => press(() => ask('POST', '/api/conversations/{id}/take', { path, body: { shown } })),
    handOver: (to: { person?: number; team?: number }, why: string, said: string) =>
      press(() => ask('POST', '/api/conversations/{id}/hand-over', { path, body: { ...to, why } }), said, true),
    letGo: () => press(() => ask('POST', '/api/conversations/{id}/let-go', { path }), 'Let go'),
    finish: () => putAway('/api/conversations/{id}/done', 'Done'),
    /** Done with a text that was sent when the page showed this. */
    finishAfter: (shown: Shown) => putAway('/api/conversations/{id}/done', 'Done', shown),
    reopen: () => press(() => ask('POST', '/api/conversations/{id}/reopen', { path })),
    takeUp: () => press(() => ask('POST', '/api/conversations/{id}/take-up', { path })),
    needsNoAnswer: () => putAway(NO_ANSWER, 'No answer needed'),
    setAside: (kind: MomentKind, at?: string) => {
      const shown = shownNow(queries, id);
      press(
        () => ask('POST', '/api/conversations/{id}/set-aside', { path, body: { kind, at, shown } }),
        'Set aside',
        true,
      );
    },
    addTopic: (topic: number) =>
      press(() => ask('PUT', '/api/conversations/{id}/topics/{topic}', { path: { id, topic } })),
    removeTopic: (topic: number, word: string) =>
      press(
        () => ask('DELETE', '/api/conversations/{id}/topics/{topic}', { path: { id, topic } }),
        `No longer about ${word}`,
      ),
    leave: (text: number) =>
      press(() => ask('POST', '/api/conversations/{id}/texts/{text}/leave', { path: { id, text } }), 'Left as it is'),
    problem: act.error,
    busy: act.isPending,
  };
}

export type Acts = ReturnType<typeof useActs>;

import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ApiProblem, ask, keys, type Paper, readAgain, sendingKey, sendScope, type Shown } from '../../shared/api';
import { tellOwnAct, UNDOABLE } from '../../shared/ui';

const ANSWERED = 'urn:fabulum:problem:answered-meanwhile';
const CONFIRM = 'urn:fabulum:problem:needs-confirmation';
const OTHER_WORDS = 'urn:fabulum:problem:sent-with-other-words';

/** Whether a colleague answered since these words were begun, so that nothing was sent. */
export function answeredMeanwhile(problem: unknown): boolean {
  return problem instanceof ApiProblem && problem.type === ANSWERED;
}

/** What has to be confirmed before these words go; nothing when they failed for another reason. */
export function toConfirm(problem: unknown): string[] {
  return problem instanceof ApiProblem && problem.type === CONFIRM ? problem.fields.map((each) => each.field) : [];
}

interface Sending {
  paper: Paper;
  words: string;
  reference: string;
  /** The newest line that stood there when the words were begun; none to send them whatever stands there. */
  seen: number | undefined;
  /** The text that was not delivered and that these words replace. */
  again?: number | undefined;
  /** What speaks against it and is confirmed. */
  confirmed?: string[] | undefined;
  /** As the writer saw that it leaves, when they looked at it first. */
  looked?: string | undefined;
  /** The template from which they were made. */
  template?: number | undefined;
  /** What goes with it, in order. */
  attachments?: number[] | undefined;
  /** What a note asks for. */
  toDo?: { staff: number; at: string } | undefined;
  /** What the page showed, when the conversation is to be done once they went out. */
  finish?: Shown | undefined;
}

/** A text that waits before it leaves, so that it can be taken back. */
export interface Waits {
  text: number;
  pauseSeconds: number;
}

/** What becomes of the paper. Told also when someone has long gone on to another conversation. */
interface Outcome {
  onSent: (sending: Sending, waits: Waits | undefined) => void;
  /** `differs` when an earlier attempt under this reference went out with other words. */
  onStays: (sending: Sending, differs: boolean) => void;
}

/** Sends a reply or adds a note. Tried again under one reference, it goes out once. */
export function useSend(id: number, { onSent, onStays }: Outcome) {
  const queries = useQueryClient();
  return useMutation({
    meta: UNDOABLE,
    mutationKey: sendingKey(id),
    scope: sendScope(id),
    mutationFn: async ({
      paper,
      words,
      reference,
      seen,
      again,
      confirmed,
      looked,
      template,
      attachments,
      toDo,
    }: Sending) => {
      if (paper === 'NOTE') {
        await ask('POST', '/api/conversations/{id}/notes', { path: { id }, body: { words, reference, toDo } });
        return undefined;
      }
      const { text, pauseSeconds } = await ask('POST', '/api/conversations/{id}/texts', {
        path: { id },
        body: { words, reference, seen, again, confirmed, looked, template, attachments },
      });
      return text !== undefined && pauseSeconds > 0 ? { text, pauseSeconds } : undefined;
    },
    onSuccess: (waits, sending) => onSent(sending, waits),
    onError: (problem, sending) => onStays(sending, problem instanceof ApiProblem && problem.type === OTHER_WORDS),
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: keys.desk });
      tellOwnAct();
      readAgain(queries, id);
    },
  });
}

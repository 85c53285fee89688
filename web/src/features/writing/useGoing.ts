import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Attachment, type Dossier, type Shown, shownNow } from '../../shared/api';
import { offerUndo, useMe, useStable } from '../../shared/ui';
import { asking, isRefused } from './model/objections';
import type { useAttaching } from './useAttaching';
import { useCheck } from './useCheck';
import type { Papers } from './usePapers';
import { answeredMeanwhile, toConfirm, useSend, type Waits } from './useSend';
import { HeldTab } from './useTab';

/** The code of the reason that a colleague answered meanwhile. */
const ANSWERED_MEANWHILE = 'answered-meanwhile';

interface Wanted {
  dossier: Dossier;
  papers: Papers;
  /** What lies with the paper on top. */
  attached: Attachment[];
  attaching: ReturnType<typeof useAttaching>;
  /** Why the person may not write on it; else empty. */
  refusal: string;
  onFinish: (shown: Shown) => void;
}

function offerTakeBack(to: string, { text, pauseSeconds }: Waits) {
  offerUndo({ words: `Text to ${to} is about to leave`, back: { text }, forMs: 1_000 * pauseSeconds });
}

export type Going = ReturnType<typeof useGoing>;

/** Sends the paper on top: at once, after a look at it where someone wants that, and what speaks against it confirmed. */
export function useGoing({ dossier, papers, attached, attaching, refusal, onFinish }: Wanted) {
  const { conversation } = dossier;
  const { paper, isNote, reply, top } = papers;
  const { sheet } = top;
  const queries = useQueryClient();
  const { looksFirst, secondLook } = useMe().page;
  const [tab] = useState(() => new HeldTab());
  const [looking, setLooking] = useState<'send' | 'finish'>();
  // For which reasons sending was pressed by keys already.
  const [pressedFor, setPressedFor] = useState('');
  const attachments = attached.map(({ id }) => id);
  const { check, fresh } = useCheck(
    conversation,
    !isNote && conversation.answerable ? reply.sheet.words : undefined,
    sheet.reference,
    sheet.seen,
    attachments,
  );
  // What was said of the words of a moment ago neither stops these nor is confirmed of them: the server then says so.
  const confirm = fresh ? asking(check) : [];
  const send = useSend(conversation.id, {
    onSent: ({ paper: which, words, reference, attachments: gone, finish }, waits) => {
      papers.of(which).sent(words, reference);
      if (gone) attaching.sent(gone);
      setLooking(undefined);
      if (waits) offerTakeBack(dossier.customer?.name ?? conversation.number, waits);
      if (finish) onFinish(finish);
    },
    onStays: ({ paper: which }, differs) => {
      papers.of(which).stays(differs);
      setLooking(undefined);
    },
  });
  const empty = sheet.words.trim() === '' && attached.length === 0;
  const cannot = empty || send.isPending || (!isNote && (attaching.isGoing || (fresh && isRefused(check))));
  const go = (finish: boolean, whateverStandsThere = false, confirmed = confirm) => {
    if (cannot || refusal !== '') return;
    setPressedFor('');
    top.going();
    const { words, reference, again, template, toDo } = sheet;
    const seen = whateverStandsThere || confirmed.includes(ANSWERED_MEANWHILE) ? undefined : sheet.seen;
    send.mutate({
      paper,
      words,
      reference,
      seen,
      again,
      template: template?.id,
      attachments,
      toDo: isNote ? toDo : undefined,
      confirmed: isNote || confirmed.length === 0 ? undefined : confirmed,
      looked: looking && !isNote ? check?.leaving : undefined,
      finish: finish ? shownNow(queries, conversation.id) : undefined,
    });
  };
  const lookOrGoNow = (finish: boolean, confirmed = confirm) => {
    // What waits for a colleague's yes is not done.
    const finishes = finish && !secondLook;
    if (looksFirst && !isNote && check && !cannot) setLooking(finishes ? 'finish' : 'send');
    else go(finishes, false, confirmed);
  };
  // What is asked for behind a held Tab goes with the words as they stand once that is answered.
  const goNow = useStable((finish: boolean, of: typeof paper, confirmed?: string[]) => {
    if (of === paper) lookOrGoNow(finish, confirmed);
  });
  const lookOrGo = (finish: boolean, confirmed?: string[]) => {
    if (!tab.delays(() => goNow(finish, paper, confirmed))) lookOrGoNow(finish, confirmed);
  };
  return {
    tab,
    check,
    attachments,
    empty,
    /** Nothing can be sent now. */
    cannot,
    /** What a person looks at before it goes; nothing while they write. */
    looking: looking && check,
    /** A reason has to be confirmed before it goes. */
    asks: confirm.length > 0,
    /** Sending was pressed by keys, and waits until that is confirmed by pressing again. */
    pressed: pressedFor !== '',
    error: send.error,
    /** What was said against the last sending is not shown any more. */
    forget: send.reset,
    lookOrGo,
    byKeys: (finish: boolean) => {
      const asked = isNote ? '' : confirm.join(' ');
      if (asked === '' || asked === pressedFor || looksFirst) lookOrGo(finish);
      else setPressedFor(asked);
    },
    afterLooking: () => go(looking === 'finish'),
    stopLooking: () => setLooking(undefined),
    /** Once more, with what was said against it confirmed. */
    again: () =>
      go(send.variables?.finish !== undefined, answeredMeanwhile(send.error), [...confirm, ...toConfirm(send.error)]),
  };
}

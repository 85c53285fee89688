import { Box } from '@mui/material';
import {
  type DragEvent,
  type KeyboardEvent,
  type Ref,
  Suspense,
  useEffect,
  useImperativeHandle,
  useRef,
  useState,
} from 'react';
import { flushSync } from 'react-dom';
import {
  type Attachment,
  type Dossier,
  type Line,
  type OfferedTemplate,
  type Paper,
  type Shown,
  shownNow,
} from '../../shared/api';
import { useQueryClient } from '@tanstack/react-query';
import { offerUndo, ProblemNote, useMe, useRefusal, useStable, part } from '../../shared/ui';
import { StopWish } from '../agreement';
import { guestRefusal } from '../guests';
import { Foot } from './Foot';
import { Head, type HeadHandle } from './Head';
import { asking, isRefused } from './model/objections';
import { begunName } from './model/mention';
import { mayBeShortName, putIn } from './model/typed';
import { Objections } from './Objections';
import { PaperField } from './PaperField';
import { useAttaching } from './useAttaching';
import { useCheck } from './useCheck';
import { answeredMeanwhile, toConfirm, useSend, type Waits } from './useSend';
import { useSheet } from './useSheet';
import { HeldTab } from './useTab';

/** Fetched with the first note. */
const MentionPicker = part(() => import('./MentionPicker').then((part) => part.MentionPicker));
/** Fetched with the first attachment. */
const OnPaper = part(() => import('../attachments').then((part) => part.OnPaper));
/** Fetched when something is first sent later. */
const LaterDialog = part(() => import('../later').then((part) => part.LaterDialog));
/** Fetched by those who look first. */
const LookFirst = part(() => import('./LookFirst').then((part) => part.LookFirst));

/** Fetched with the first writing place. */
const Inserting = part(() => import('./Inserting').then((part) => part.Inserting));

/** Fetched with the first note. */
const ToDoChoice = part(() => import('../to-do').then((part) => part.ToDoChoice));
/** Fetched with the first customer who waits. */
const Suggested = part(() => import('./Suggested').then((part) => part.Suggested));

const NO_FILES: Attachment[] = [];

/** The code of the reason that a colleague answered meanwhile. */
const ANSWERED_MEANWHILE = 'answered-meanwhile';

export interface WritingHandle {
  /** Lays out the paper and puts the cursor on it; with words, adds them. */
  begin: (paper: Paper, words?: string, again?: number) => void;
  /** Shows the other lines and numbers. */
  choose: () => void;
  /** Puts a template where the cursor is. */
  insert: (template: OfferedTemplate) => void;
  /** What stands on the paper for the customer. */
  written: () => string;
}

interface Props {
  ref: Ref<WritingHandle>;
  dossier: Dossier;
  line: Line | undefined;
  me: number;
  /** A text went out with which the conversation is to be done, as far as the page showed it then. */
  onFinish: (shown: Shown) => void;
  /** Told at every stroke of a reply, and when there are no words on the paper any more. */
  onWriting: (writing: boolean) => void;
  /** Lays the templates beside the script. */
  onTemplates?: (() => void) | undefined;
}

/** Whether Enter sends: with Ctrl or Alt always, alone for those who chose so; never while a character is being put together. */
function sendsBy(event: KeyboardEvent, enterSends: boolean): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  return enterSends && !event.shiftKey && !event.defaultPrevented && !event.nativeEvent.isComposing;
}

/** Where one answers, or leaves a note for the team: two papers that cannot be mistaken for each other. */
export function WritingPlace({ ref, dossier, line, me, onFinish, onWriting, onTemplates }: Props) {
  const { conversation } = dossier;
  const queries = useQueryClient();
  const [paper, setPaper] = useState<Paper>(conversation.answerable ? 'REPLY' : 'NOTE');
  const reply = useSheet(me, dossier, 'REPLY');
  const note = useSheet(me, dossier, 'NOTE');
  const attaching = useAttaching(conversation.id);
  const chooser = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const sheetOf = (which: Paper) => (which === 'NOTE' ? note : reply);
  const send = useSend(conversation.id, {
    onSent: ({ paper: which, words, reference, attachments: gone, finish }, waits) => {
      sheetOf(which).sent(words, reference);
      if (gone) attaching.sent(gone);
      setLooking(undefined);
      if (waits) offerTakeBack(waits);
      if (finish) onFinish(finish);
    },
    onStays: ({ paper: which }, differs) => {
      sheetOf(which).stays(differs);
      setLooking(undefined);
    },
  });
  const offerTakeBack = ({ text, pauseSeconds }: Waits) =>
    offerUndo({
      words: `Text to ${dossier.customer?.name ?? conversation.number} is about to leave`,
      back: { text },
      forMs: 1_000 * pauseSeconds,
    });
  const field = useRef<HTMLTextAreaElement>(null);
  const head = useRef<HeadHandle>(null);
  const [tab] = useState(() => new HeldTab());
  const isNote = paper === 'NOTE';
  const writing = sheetOf(paper);
  const { sheet } = writing;
  const attached = isNote ? NO_FILES : dossier.attached;
  const attachments = attached.map(({ id }) => id);
  const { check, fresh } = useCheck(
    conversation,
    paper === 'REPLY' && conversation.answerable ? sheet.words : undefined,
    sheet.reference,
    sheet.seen,
    attachments,
  );
  // What was said of the words of a moment ago neither stops these nor is confirmed of them: the server then says so.
  const confirm = fresh ? asking(check) : [];
  const { looksFirst, secondLook, enterSends } = useMe().page;
  useEffect(() => {
    // So that it is there when it is asked for.
    if (looksFirst) void import('./LookFirst');
  }, [looksFirst]);
  const [looking, setLooking] = useState<'send' | 'finish'>();
  const [choosing, setChoosing] = useState(false);
  const [later, setLater] = useState(false);
  // For which reasons sending was pressed by keys already.
  const [pressedFor, setPressedFor] = useState('');
  const empty = sheet.words.trim() === '' && attached.length === 0;

  const insert = ({ words, id, version, files }: OfferedTemplate, from?: number, to?: number) => {
    if (!conversation.answerable) return;
    const { words: had } = reply.sheet;
    const at = isNote ? undefined : field.current;
    const put = putIn(had, from ?? at?.selectionStart ?? had.length, to ?? at?.selectionEnd ?? had.length, words);
    flushSync(() => {
      setPaper('REPLY');
      reply.write(put.words, undefined, { id, version });
    });
    files.forEach((kept) => attaching.again({ kept }));
    onWriting(true);
    field.current?.focus();
    field.current?.setSelectionRange(put.from, put.to);
  };
  /** Puts a sign where the cursor is, on either paper. */
  const putSign = (sign: string) => {
    const { words } = writing.sheet;
    const from = field.current?.selectionStart ?? words.length;
    const to = field.current?.selectionEnd ?? from;
    flushSync(() => writing.write(words.slice(0, from) + sign + words.slice(to)));
    if (!isNote) onWriting(true);
    field.current?.focus();
    field.current?.setSelectionRange(from + sign.length, from + sign.length);
  };
  useImperativeHandle(ref, () => ({
    insert,
    written: () => reply.sheet.words,
    begin: (wanted, words, again) => {
      if (wanted === 'REPLY' && !conversation.answerable) return;
      flushSync(() => {
        setPaper(wanted);
        // What is on the paper already is not put there twice, as after a reload.
        const paperOf = sheetOf(wanted);
        const had = paperOf.sheet.words;
        const there = again !== undefined && paperOf.sheet.again === again && had !== '';
        if (words && !there) paperOf.write(had ? `${had}\n${words}` : words, again);
      });
      field.current?.focus();
    },
    choose: () => {
      if (conversation.answerable) {
        setPaper('REPLY');
        setChoosing(true);
      }
    },
  }));

  const mayText = useRefusal('TEXT') || guestRefusal(dossier.myPart, true);
  const mayNote = useRefusal('WORK');
  const refusal = paper === 'NOTE' ? mayNote : mayText;
  const writes = reply.sheet.words.trim() !== '';
  useEffect(() => {
    if (!writes) onWriting(false);
  }, [writes, onWriting]);

  const cannot = empty || send.isPending || (!isNote && attaching.isGoing) || (!isNote && fresh && isRefused(check));
  const go = (finish: boolean, whateverStandsThere = false, confirmed = confirm) => {
    if (cannot || refusal !== '') return;
    setPressedFor('');
    writing.going();
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
  const back = () => {
    flushSync(() => setLooking(undefined));
    field.current?.focus();
  };
  const lookOrGoNow = (finish: boolean, confirmed = confirm) => {
    // What waits for a colleague's yes is not done.
    const finishes = finish && !secondLook;
    if (looksFirst && !isNote && check && !cannot) setLooking(finishes ? 'finish' : 'send');
    else go(finishes, false, confirmed);
  };
  // What is asked for behind a held Tab goes with the words as they stand once that is answered.
  const goNow = useStable((finish: boolean, of: Paper, confirmed?: string[]) => {
    if (of === paper) lookOrGoNow(finish, confirmed);
  });
  const lookOrGo = (finish: boolean, confirmed?: string[]) => {
    if (!tab.delays(() => goNow(finish, paper, confirmed))) lookOrGoNow(finish, confirmed);
  };
  const mayAttach = !isNote && conversation.answerable && refusal === '';
  const mayLater = !isNote && conversation.answerable && refusal === '' && !empty && !attaching.isGoing;
  const planLater = () => {
    reply.going();
    setLater(true);
  };
  const planned = () => {
    setLater(false);
    reply.sent(reply.sheet.words, reply.sheet.reference);
    attaching.sent(attachments);
    flushSync(() => send.reset());
    field.current?.focus();
  };
  const heldTab = (from: number) => {
    const before = (field.current?.value ?? '').slice(0, from);
    return tab.holds(before, isNote ? begunName(before, from) !== undefined : mayBeShortName(before));
  };
  const pressed = (event: KeyboardEvent<HTMLTextAreaElement>) => {
    if (event.key.toLowerCase() === 'f' && event.altKey && !isNote) {
      event.preventDefault();
      setChoosing(true);
    } else if (event.key.toLowerCase() === 'e' && event.altKey) {
      event.preventDefault();
      head.current?.emoji();
    } else if (event.key.toLowerCase() === 'a' && event.altKey && mayAttach) {
      event.preventDefault();
      head.current?.attach();
    } else if (event.key.toLowerCase() === 'l' && event.altKey && mayLater) {
      event.preventDefault();
      planLater();
    } else if (onTemplates && event.key.toLowerCase() === 't' && event.altKey && !isNote) {
      event.preventDefault();
      onTemplates();
    } else if (event.key === 'Enter' && sendsBy(event, enterSends)) {
      event.preventDefault();
      const asked = isNote ? '' : confirm.join(' ');
      if (asked === '' || asked === pressedFor || looksFirst) lookOrGo(event.altKey && !isNote);
      else setPressedFor(asked);
    } else if (event.key === 'Tab' && !event.shiftKey) {
      if (heldTab(event.currentTarget.selectionStart)) event.preventDefault();
    } else if (event.key === 'Escape') {
      field.current?.blur();
    }
  };

  return (
    <Box
      component="section"
      aria-label="Writing place"
      className="no-print"
      sx={{
        borderTop: 1,
        borderColor: 'divider',
        px: 2,
        pt: 0.75,
        pb: 1,
        bgcolor: over ? 'inks.pineWash' : 'background.default',
      }}
      onDragOver={(event: DragEvent) => {
        if (!mayAttach || !event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        setOver(false);
        if (!mayAttach || event.dataTransfer.files.length === 0) return;
        event.preventDefault();
        attaching.going.add([...event.dataTransfer.files]);
      }}
    >
      <Head
        ref={head}
        paper={paper}
        me={me}
        begun={(each) => sheetOf(each).sheet.words !== '' || (each === 'REPLY' && dossier.attached.length > 0)}
        onPaper={(each) => {
          setPaper(each);
          field.current?.focus();
        }}
        conversation={conversation}
        line={line}
        open={choosing}
        onOpen={setChoosing}
        carry={{ words: sheet.words, again: sheet.again }}
        onCarried={() => reply.write('')}
        onEmoji={putSign}
        attach={{
          conversation: conversation.id,
          customer: dossier.customer?.name ?? conversation.number,
          mostKilobytes: line?.mostKilobytes ?? 0,
          onComputer: () => chooser.current?.click(),
          onFile: (file) => attaching.going.add([file]),
          onOffered: attaching.again,
        }}
        refusal={refusal}
        onTemplates={onTemplates}
        onBack={() => field.current?.focus()}
      />
      <Suspense fallback={null}>
        {!isNote && empty && refusal === '' && conversation.answerable && conversation.group === 'OUR_TURN' && (
          <Suggested id={conversation.id} version={conversation.version} field={field} onInsert={insert} />
        )}
      </Suspense>
      {looking && check ? (
        <Suspense fallback={null}>
          <LookFirst
            check={check}
            attached={attached}
            anyway={confirm.length > 0}
            busy={cannot}
            onSend={() => go(looking === 'finish')}
            onBack={back}
          />
        </Suspense>
      ) : (
        <PaperField
          ref={field}
          isNote={isNote}
          label={isNote ? 'Note for the team' : `Reply to ${dossier.customer?.name ?? conversation.number}`}
          words={sheet.words}
          language={isNote ? undefined : dossier.customer?.language}
          refusal={refusal}
          onWrite={(words) => {
            // What was said against words that are gone is gone as well.
            if (words === '') send.reset();
            writing.write(words);
            if (!isNote) onWriting(words.trim() !== '');
          }}
          onKey={pressed}
          onFiles={mayAttach ? attaching.going.add : undefined}
        />
      )}
      <input
        ref={chooser}
        type="file"
        multiple
        hidden
        aria-label="Files to attach"
        onChange={(event) => {
          attaching.going.add([...(event.target.files ?? [])]);
          // The same file can be chosen again.
          event.target.value = '';
          field.current?.focus();
        }}
      />
      <Suspense fallback={null}>
        {!isNote && (attached.length > 0 || attaching.going.uploads.length > 0) && (
          <OnPaper attached={attached} going={attaching.going} onRemove={attaching.remove} />
        )}
        {isNote && <MentionPicker field={field} tab={tab} words={sheet.words} onWrite={note.write} />}
        {isNote && refusal === '' && (
          <ToDoChoice
            conversation={conversation.id}
            zone={line?.zone ?? 'UTC'}
            me={me}
            toDo={sheet.toDo}
            onChange={note.ask}
          />
        )}
        {!isNote && conversation.answerable && !looking && (
          <Inserting
            id={conversation.id}
            version={conversation.version}
            field={field}
            tab={tab}
            words={sheet.words}
            template={sheet.template}
            onInsert={insert}
          />
        )}
      </Suspense>
      <Suspense fallback={null}>
        {conversation.group === 'OUR_TURN' && conversation.numbers === 1 && <StopWish conversation={conversation} />}
      </Suspense>
      {send.error && (
        <ProblemNote
          problem={send.error}
          retry={
            answeredMeanwhile(send.error)
              ? 'Send mine too'
              : toConfirm(send.error).length > 0
                ? 'Send anyway'
                : undefined
          }
          onRetry={() =>
            go(send.variables?.finish !== undefined, answeredMeanwhile(send.error), [
              ...confirm,
              ...toConfirm(send.error),
            ])
          }
        />
      )}
      {!isNote && attaching.refused !== undefined && <ProblemNote problem={attaching.refused} />}
      {!isNote && <Objections id={conversation.id} check={check} pressed={pressedFor !== ''} />}
      {later && (
        <Suspense fallback={null}>
          <LaterDialog
            conversation={conversation.id}
            zone={line?.zone ?? 'UTC'}
            paper={{
              words: sheet.words,
              template: sheet.template?.id,
              attachments,
              reference: sheet.reference,
            }}
            onClose={() => {
              setLater(false);
              reply.stays(false);
            }}
            onPlanned={planned}
          />
        </Suspense>
      )}
      {!looking && (
        <Foot
          isNote={isNote}
          words={sheet.words}
          check={check}
          refusal={refusal}
          disabled={cannot || (!isNote && isRefused(check))}
          looksFirst={looksFirst}
          secondLook={secondLook}
          enterSends={enterSends}
          onPlain={reply.write}
          onLater={mayLater ? planLater : undefined}
          // Who presses a button has seen what is shown beside it, also where that was said of the words of a moment ago.
          onGo={(finish) => lookOrGo(finish, asking(check))}
        />
      )}
    </Box>
  );
}

import { Box } from '@mui/material';
import { type Ref, Suspense, useEffect, useImperativeHandle, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Attachment, Dossier, Line, OfferedTemplate, Paper, Shown } from '../../shared/api';
import { part, useMe, useRefusal } from '../../shared/ui';
import { guestRefusal } from '../guests';
import { Below } from './Below';
import { Foot } from './Foot';
import { Head, type HeadHandle } from './Head';
import { begunName } from './model/mention';
import { asking, isRefused } from './model/objections';
import { mayBeShortName } from './model/typed';
import { PaperField } from './PaperField';
import { paperKey } from './paperKey';
import { useAttaching } from './useAttaching';
import { useFileDrop } from './useFileDrop';
import { useGoing } from './useGoing';
import { usePapers } from './usePapers';
import { usePutting } from './usePutting';

/** Fetched when something is first sent later. */
const LaterDialog = part(() => import('../later').then((part) => part.LaterDialog));
/** Fetched by those who look first. */
const LookFirst = part(() => import('./LookFirst').then((part) => part.LookFirst));
/** Fetched with the first customer who waits. */
const Suggested = part(() => import('./Suggested').then((part) => part.Suggested));

const NO_FILES: Attachment[] = [];

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

/** Where one answers, or leaves a note for the team: two papers that cannot be mistaken for each other. */
export function WritingPlace({ ref, dossier, line, me, onFinish, onWriting, onTemplates }: Props) {
  const { conversation } = dossier;
  const customer = dossier.customer?.name ?? conversation.number;
  const field = useRef<HTMLTextAreaElement>(null);
  const head = useRef<HeadHandle>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const [choosing, setChoosing] = useState(false);
  const [later, setLater] = useState(false);
  const papers = usePapers(me, dossier);
  const { paper, isNote, lay, reply, top } = papers;
  const { sheet } = top;
  const attached = isNote ? NO_FILES : dossier.attached;
  const attaching = useAttaching(conversation.id);
  const mayText = useRefusal('TEXT') || guestRefusal(dossier.myPart, true);
  const mayNote = useRefusal('WORK');
  const refusal = isNote ? mayNote : mayText;
  const going = useGoing({ dossier, papers, attached, attaching, refusal, onFinish });
  const { check, empty, cannot } = going;
  const { insert, putSign, begin } = usePutting({
    papers,
    answerable: conversation.answerable,
    field,
    onFiles: (files) => files.forEach((kept) => attaching.again({ kept })),
    onWriting,
  });
  const { looksFirst, secondLook, enterSends } = useMe().page;
  useEffect(() => {
    // So that it is there when it is asked for.
    if (looksFirst) void import('./LookFirst');
  }, [looksFirst]);
  const writes = reply.sheet.words.trim() !== '';
  useEffect(() => {
    if (!writes) onWriting(false);
  }, [writes, onWriting]);
  useImperativeHandle(ref, () => ({
    insert,
    begin,
    written: () => reply.sheet.words,
    choose: () => {
      if (!conversation.answerable) return;
      lay('REPLY');
      setChoosing(true);
    },
  }));

  const replies = !isNote && conversation.answerable && refusal === '';
  const attach = replies ? attaching.going.add : undefined;
  const drop = useFileDrop(attach);
  const mayLater = replies && !empty && !attaching.isGoing;
  const planLater = () => {
    reply.going();
    setLater(true);
  };
  const planned = () => {
    setLater(false);
    reply.sent(reply.sheet.words, reply.sheet.reference);
    attaching.sent(going.attachments);
    flushSync(going.forget);
    field.current?.focus();
  };
  const holdsTab = (from: number) => {
    const before = (field.current?.value ?? '').slice(0, from);
    return going.tab.holds(before, isNote ? begunName(before, from) !== undefined : mayBeShortName(before));
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
        bgcolor: drop.over ? 'inks.pineWash' : 'background.default',
      }}
      {...drop.on}
    >
      <Head
        ref={head}
        paper={paper}
        me={me}
        begun={(each) => papers.of(each).sheet.words !== '' || (each === 'REPLY' && dossier.attached.length > 0)}
        onPaper={(each) => {
          lay(each);
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
          customer,
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
        {replies && empty && conversation.group === 'OUR_TURN' && (
          <Suggested id={conversation.id} version={conversation.version} field={field} onInsert={insert} />
        )}
      </Suspense>
      {going.looking ? (
        <Suspense fallback={null}>
          <LookFirst
            check={going.looking}
            attached={attached}
            anyway={going.asks}
            busy={cannot}
            onSend={going.afterLooking}
            onBack={() => {
              flushSync(going.stopLooking);
              field.current?.focus();
            }}
          />
        </Suspense>
      ) : (
        <PaperField
          ref={field}
          isNote={isNote}
          label={isNote ? 'Note for the team' : `Reply to ${customer}`}
          words={sheet.words}
          language={isNote ? undefined : dossier.customer?.language}
          refusal={refusal}
          onWrite={(words) => {
            // What was said against words that are gone is gone as well.
            if (words === '') going.forget();
            top.write(words);
            if (!isNote) onWriting(words.trim() !== '');
          }}
          onKey={(event) =>
            paperKey(event, {
              alt: {
                a: attach && (() => head.current?.attach()),
                e: () => head.current?.emoji(),
                f: isNote ? undefined : () => setChoosing(true),
                l: mayLater ? planLater : undefined,
                t: isNote ? undefined : onTemplates,
              },
              enterSends,
              send: (finish) => going.byKeys(finish && !isNote),
              tab: holdsTab,
              leave: () => field.current?.blur(),
            })
          }
          onFiles={attach}
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
      <Below
        dossier={dossier}
        line={line}
        me={me}
        papers={papers}
        field={field}
        attached={attached}
        attaching={attaching}
        going={going}
        refusal={refusal}
        onInsert={insert}
      />
      {later && (
        <Suspense fallback={null}>
          <LaterDialog
            conversation={conversation.id}
            zone={line?.zone ?? 'UTC'}
            paper={{
              words: sheet.words,
              template: sheet.template?.id,
              attachments: going.attachments,
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
      {!going.looking && (
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
          onGo={(finish) => going.lookOrGo(finish, asking(check))}
        />
      )}
    </Box>
  );
}

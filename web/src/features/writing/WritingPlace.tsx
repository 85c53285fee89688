import { Box } from '@mui/material';
import { type KeyboardEvent, type Ref, useEffect, useImperativeHandle, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { type Dossier, type Line, type Paper, type Shown, shownNow } from '../../shared/api';
import { useQueryClient } from '@tanstack/react-query';
import { ActButton, ProblemNote, useRefusal } from '../../shared/ui';
import { notePaper } from '../../theme';
import { StopWish } from '../agreement';
import { MentionPicker } from './MentionPicker';
import { sendWords } from './model/meter';
import { asking, isRefused, standing } from './model/objections';
import { Objections } from './Objections';
import { PaperTabs } from './PaperTabs';
import { PartMeter } from './PartMeter';
import { useCheck } from './useCheck';
import { answeredMeanwhile, toConfirm, useSend } from './useSend';
import { useSheet } from './useSheet';

export interface WritingHandle {
  /** Lays out the paper and puts the cursor on it; with words, adds them. */
  begin: (paper: Paper, words?: string, again?: number) => void;
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
}

/** Where one answers, or leaves a note for the team: two papers that cannot be mistaken for each other. */
export function WritingPlace({ ref, dossier, line, me, onFinish, onWriting }: Props) {
  const { conversation } = dossier;
  const queries = useQueryClient();
  const [paper, setPaper] = useState<Paper>(conversation.answerable ? 'REPLY' : 'NOTE');
  const reply = useSheet(me, dossier, 'REPLY');
  const note = useSheet(me, dossier, 'NOTE');
  const sheetOf = (which: Paper) => (which === 'NOTE' ? note : reply);
  const send = useSend(conversation.id, {
    onSent: ({ paper: which, words, reference, finish }) => {
      sheetOf(which).sent(words, reference);
      if (finish) onFinish(finish);
    },
    onStays: ({ paper: which }, differs) => sheetOf(which).stays(differs),
  });
  const field = useRef<HTMLTextAreaElement>(null);
  const isNote = paper === 'NOTE';
  const writing = sheetOf(paper);
  const { sheet } = writing;
  const check = useCheck(
    conversation,
    paper === 'REPLY' && conversation.answerable ? sheet.words : undefined,
    sheet.reference,
  );
  const parts = sheet.words === '' ? undefined : check?.parts;
  const confirm = asking(check);
  // For which reasons sending was pressed by keys already.
  const [pressedFor, setPressedFor] = useState('');
  const empty = sheet.words.trim() === '';

  useImperativeHandle(ref, () => ({
    begin: (wanted, words, again) => {
      if (wanted === 'REPLY' && !conversation.answerable) return;
      flushSync(() => {
        setPaper(wanted);
        // What is on the paper already is not put there twice, as after a reload.
        const there = again !== undefined && reply.sheet.again === again && reply.sheet.words !== '';
        if (words && !there) reply.write(reply.sheet.words ? `${reply.sheet.words}\n${words}` : words, again);
      });
      field.current?.focus();
    },
  }));

  const mayText = useRefusal('TEXT');
  const mayNote = useRefusal('WORK');
  const refusal = paper === 'NOTE' ? mayNote : mayText;
  const writes = reply.sheet.words.trim() !== '';
  useEffect(() => {
    if (!writes) onWriting(false);
  }, [writes, onWriting]);

  const cannot = empty || send.isPending || (!isNote && isRefused(check));
  const go = (finish: boolean, whateverStandsThere = false, confirmed = confirm) => {
    if (cannot || refusal !== '') return;
    setPressedFor('');
    writing.going();
    const { words, reference } = sheet;
    const { again } = sheet;
    const seen = whateverStandsThere ? undefined : sheet.seen;
    send.mutate({
      paper,
      words,
      reference,
      seen,
      again,
      confirmed: isNote || confirmed.length === 0 ? undefined : confirmed,
      finish: finish ? shownNow(queries, conversation.id) : undefined,
    });
  };
  const pressed = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && (event.ctrlKey || event.metaKey || event.altKey)) {
      event.preventDefault();
      const asked = isNote ? '' : confirm.join(' ');
      if (asked === pressedFor) go(event.altKey && !isNote);
      else setPressedFor(asked);
    } else if (event.key === 'Escape') {
      field.current?.blur();
    }
  };

  const hint = isNote
    ? 'For the team only, never sent. Type @ and a name to notify a colleague.'
    : `From ${line?.name ?? '…'} to ${conversation.number}`;
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
        bgcolor: 'background.default',
      }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <PaperTabs
          paper={paper}
          answerable={conversation.answerable}
          begun={(each) => sheetOf(each).sheet.words !== ''}
          onPaper={(each) => {
            setPaper(each);
            field.current?.focus();
          }}
        />
        <Box component="span" sx={{ typography: 'caption', color: 'text.secondary' }}>
          {hint}
        </Box>
      </Box>
      <Box
        component="textarea"
        ref={field}
        aria-label={isNote ? 'Note for the team' : `Reply to ${dossier.customer?.name ?? conversation.number}`}
        value={sheet.words}
        disabled={refusal !== ''}
        placeholder={refusal}
        rows={3}
        onChange={(event: React.ChangeEvent<HTMLTextAreaElement>) => {
          // What was said against words that are gone is gone as well.
          if (event.target.value === '') send.reset();
          writing.write(event.target.value);
          if (!isNote) onWriting(event.target.value.trim() !== '');
        }}
        onKeyDown={pressed}
        sx={[
          {
            display: 'block',
            width: '100%',
            boxSizing: 'border-box',
            resize: 'vertical',
            mt: 0.5,
            p: 1,
            minHeight: 62,
            maxHeight: '40vh',
            font: 'inherit',
            typography: 'words',
            color: 'text.primary',
            borderRadius: 1,
            bgcolor: 'background.paper',
            border: 1,
            borderStyle: isNote ? 'dashed' : 'solid',
            borderColor: 'text.secondary',
          },
          isNote ? notePaper : {},
          isNote ? { lineHeight: '24px', backgroundAttachment: 'local', backgroundPositionY: '8px' } : {},
        ]}
      />
      {isNote && <MentionPicker field={field} words={sheet.words} onWrite={note.write} />}
      {conversation.group === 'OUR_TURN' && <StopWish conversation={conversation} />}
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
      {!isNote && standing(check).length > 0 && (
        <Objections id={conversation.id} check={check} pressed={pressedFor !== ''} />
      )}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mt: 0.5 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>{!isNote && <PartMeter parts={parts} onPlain={reply.write} />}</Box>
        {!isNote && (
          <ActButton hint="Alt+Enter" refusal={refusal} onClick={() => go(true)} disabled={cannot}>
            Send and done
          </ActButton>
        )}
        <ActButton hint="Ctrl+Enter" refusal={refusal} variant="contained" onClick={() => go(false)} disabled={cannot}>
          {isNote ? 'Add the note' : sendWords(parts, confirm.length > 0)}
        </ActButton>
      </Box>
    </Box>
  );
}

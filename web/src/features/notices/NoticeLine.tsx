import { Box, Button, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Dossier, dossierQuery, linesQuery, type Notice } from '../../shared/api';
import { timeLeft } from '../../shared/format';
import { ActButton, Moment, ProblemNote, useMe, useRefusal } from '../../shared/ui';
import { answeredMeanwhile, useSend, useSheet } from '../writing';
import { kindWords, noticeName } from './model/tell';

const LATE = ['LATE', 'SOON'];

interface Props {
  notice: Notice;
  onOpen: () => void;
  onSeen: () => void;
}

/** One notice: who, of what, and what was said; answered in place where one is enough. */
export function NoticeLine({ notice, onOpen, onSeen }: Props) {
  const { conversation } = notice;
  const [answering, setAnswering] = useState(false);
  const refusal = useRefusal('TEXT');
  const zone = useQuery(linesQuery).data?.find((line) => line.id === conversation.lineId)?.zone ?? 'UTC';
  const colour =
    notice.kind === 'LATE' || notice.kind === 'UNDELIVERED'
      ? 'error.main'
      : notice.kind === 'SOON'
        ? 'warning.main'
        : 'info.main';
  const waits = conversation.group === 'OUR_TURN' && conversation.secondsLeft !== undefined;
  return (
    <Box
      component="li"
      sx={{
        px: 2,
        py: 0.75,
        borderBottom: 1,
        borderColor: 'divider',
        color: notice.seen ? 'text.secondary' : 'text.primary',
      }}
    >
      <ButtonBase onClick={onOpen} sx={{ display: 'block', width: '100%', textAlign: 'left', borderRadius: 0 }}>
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Box component="span" sx={{ fontWeight: notice.seen ? 500 : 700 }}>
            {!notice.seen && <span aria-label="not seen">• </span>}
            {noticeName(notice)}
          </Box>
          <Box
            component="span"
            sx={{ color: notice.seen ? 'inherit' : colour, fontWeight: 600, typography: 'caption' }}
          >
            {kindWords(notice.kind)}
          </Box>
          <Box component="span" className="figures" sx={{ typography: 'caption', flex: 1, textAlign: 'right' }}>
            {waits && !LATE.includes(notice.kind) && `${timeLeft(conversation.secondsLeft ?? 0)} · `}
            <Moment at={notice.at} zone={zone} />
          </Box>
        </Box>
        <Box sx={{ typography: 'excerpt', overflowWrap: 'anywhere' }}>{notice.words}</Box>
      </ButtonBase>
      {answering ? (
        <AnswerInPlace
          notice={notice}
          onDone={() => {
            setAnswering(false);
            onSeen();
          }}
        />
      ) : (
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          {conversation.answerable && (
            <ActButton sx={{ p: 0 }} refusal={refusal} onClick={() => setAnswering(true)}>
              Answer here
            </ActButton>
          )}
          {!notice.seen && (
            <Button sx={{ p: 0 }} onClick={onSeen}>
              Seen
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}

function AnswerInPlace({ notice, onDone }: { notice: Notice; onDone: () => void }) {
  const dossier = useQuery(dossierQuery(notice.conversation.id));
  if (dossier.data) return <AnswerForm notice={notice} dossier={dossier.data} onDone={onDone} />;
  return dossier.error ? <ProblemNote problem={dossier.error} /> : <Box aria-busy="true" />;
}

/** The same paper as in the conversation: what is begun in one place stands in the other, and goes out once. */
function AnswerForm({ notice, dossier, onDone }: { notice: Notice; dossier: Dossier; onDone: () => void }) {
  const paper = useSheet(useMe().staff.id, dossier, 'REPLY');
  const { words, reference, seen, again } = paper.sheet;
  const send = useSend(notice.conversation.id, {
    onSent: (sent) => {
      paper.sent(sent.words, sent.reference);
      onDone();
    },
    onStays: (_, differs) => paper.stays(differs),
  });
  const go = (whateverStandsThere = false) => {
    if (words.trim() === '' || send.isPending) return;
    paper.going();
    send.mutate({
      paper: 'REPLY',
      words,
      reference,
      seen: whateverStandsThere ? undefined : seen,
      again,
    });
  };
  return (
    <Box
      component="form"
      aria-label={`Answer ${noticeName(notice)}`}
      onSubmit={(event) => {
        event.preventDefault();
        go();
      }}
      sx={{ mt: 0.5 }}
    >
      <Box sx={{ typography: 'excerpt', color: 'text.secondary' }}>
        {notice.conversation.lastSpeaker === 'CUSTOMER' ? 'They' : 'We'} said last: {notice.conversation.lastWords}
      </Box>
      <Box
        component="textarea"
        rows={2}
        value={words}
        aria-label={`Reply to ${noticeName(notice)}`}
        // The person who asked for the field wants to type.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        onChange={(event: React.ChangeEvent<HTMLTextAreaElement>) => paper.write(event.target.value)}
        onKeyDown={(event: React.KeyboardEvent) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) go();
        }}
        sx={{
          width: '100%',
          boxSizing: 'border-box',
          font: 'inherit',
          typography: 'words',
          color: 'text.primary',
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'text.secondary',
          borderRadius: 1,
          p: 0.75,
        }}
      />
      {send.error && (
        <ProblemNote
          problem={send.error}
          retry={answeredMeanwhile(send.error) ? 'Send mine too' : undefined}
          onRetry={() => go(answeredMeanwhile(send.error))}
        />
      )}
      <Button type="submit" variant="contained" disabled={send.isPending || words.trim() === ''}>
        Send
      </Button>
      <Button onClick={onDone}>Not now</Button>
    </Box>
  );
}

import { Box, Button, ButtonBase } from '@mui/material';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, linesQuery, type Notice } from '../../shared/api';
import { timeLeft } from '../../shared/format';
import { ActButton, Moment, ProblemNote, useRefusal } from '../../shared/ui';
import { bookSerif } from '../../theme';
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
  const colour = notice.kind === 'LATE' ? 'error.main' : notice.kind === 'SOON' ? 'warning.main' : 'info.main';
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
        <Box sx={{ fontFamily: bookSerif, fontSize: '0.875rem', overflowWrap: 'anywhere' }}>{notice.words}</Box>
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
  const [words, setWords] = useState('');
  const [reference] = useState(() => crypto.randomUUID());
  const send = useMutation({
    mutationFn: () => ask('POST', `/api/conversations/${notice.conversation.id}/texts`, { words, reference }),
    onSuccess: onDone,
  });
  const go = () => {
    if (words.trim() !== '' && !send.isPending) send.mutate();
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
      <Box sx={{ fontFamily: bookSerif, fontSize: '0.875rem', color: 'text.secondary' }}>
        {notice.conversation.lastSpeaker === 'CUSTOMER' ? 'They' : 'We'} said last: {notice.conversation.lastWords}
      </Box>
      <Box
        component="textarea"
        rows={2}
        value={words}
        aria-label={`Reply to ${noticeName(notice)}`}
        // Whoever asked for the field wants to type.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        onChange={(event: React.ChangeEvent<HTMLTextAreaElement>) => setWords(event.target.value)}
        onKeyDown={(event: React.KeyboardEvent) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) go();
        }}
        sx={{
          width: '100%',
          boxSizing: 'border-box',
          font: 'inherit',
          fontFamily: bookSerif,
          color: 'text.primary',
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'text.secondary',
          borderRadius: 1,
          p: 0.75,
        }}
      />
      {send.error && <ProblemNote problem={send.error} />}
      <Button type="submit" variant="contained" disabled={send.isPending || words.trim() === ''}>
        Send
      </Button>
      <Button onClick={onDone}>Not now</Button>
    </Box>
  );
}

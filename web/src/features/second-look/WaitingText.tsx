import { Box, TextField } from '@mui/material';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useDeferredValue, useState } from 'react';
import { type Conversation, shownNow, staffQuery, type WaitingText as Waiting } from '../../shared/api';
import { ActButton, focusing, Moment, part, ProblemNote, useMe, useRefusal } from '../../shared/ui';
import { asking, isRefused, Reasons, sendWords } from '../writing';
import { lookCheckQuery, useLook } from './queries';

/** Fetched with the first attachment. */
const Attached = part(() => import('../attachments').then((part) => part.Attached));

interface Props {
  text: Waiting;
  conversation: Conversation;
  zone: string;
}

/** Why I may not look at texts of others; empty when I may. */
function useMayLook(): string {
  const mayText = useRefusal('TEXT');
  return useMe().page.secondLook ? 'Your own texts wait for a second look, so you cannot approve any.' : mayText;
}

/** A text that waits for a colleague's yes: as it is for its writer, and as it is for who looks at it. */
export function WaitingText({ text, conversation, zone }: Props) {
  const me = useMe();
  const staff = useQuery(staffQuery).data ?? [];
  const mine = text.staff === me.staff.id;
  const writer = staff.find(({ id }) => id === text.staff)?.name ?? 'A colleague';
  const act = useLook(text.id, conversation.id);
  return (
    <Box sx={{ py: 0.5 }}>
      <Box sx={{ typography: 'body2' }}>
        <Box component="span" sx={{ fontWeight: 700, color: mine ? 'text.primary' : 'warning.main' }}>
          {mine ? 'Your text waits for a second look' : `${writer}’s text waits for a second look`}
        </Box>
        {', '}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          since <Moment at={text.askedAt} zone={zone} />. {mine && 'A colleague will send it or return it to you.'}
        </Box>
      </Box>
      {mine ? (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline' }}>
          <Box sx={{ typography: 'words', flex: 1, minWidth: 0, whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>
            {text.words}
            <With text={text} />
          </Box>
          <ActButton sx={{ p: 0 }} disabled={act.isPending} onClick={() => act.mutate({ kind: 'take back' })}>
            Take back
          </ActButton>
        </Box>
      ) : (
        <ToLookAt text={text} conversation={conversation} writer={writer} act={act} />
      )}
      {act.error && <ProblemNote problem={act.error} />}
    </Box>
  );
}

interface LookProps {
  text: Waiting;
  conversation: Conversation;
  writer: string;
  act: ReturnType<typeof useLook>;
}

/** What is to go with it. */
function With({ text }: { text: Waiting }) {
  if (text.attachments.length === 0) return null;
  return (
    <Suspense fallback={null}>
      <Attached list={text.attachments} />
    </Suspense>
  );
}

/** What a colleague can do with it: send it as it is or changed, or return it with a word. */
function ToLookAt({ text, conversation, writer, act }: LookProps) {
  const queries = useQueryClient();
  const refusal = useMayLook();
  const first = writer.split(' ')[0] ?? writer;
  const [words, setWords] = useState(text.words);
  const [changing, setChanging] = useState(false);
  const [why, setWhy] = useState<string>();
  const { newest } = shownNow(queries, conversation.id);
  const asked = useDeferredValue(words);
  const query = useQuery({
    ...lookCheckQuery(text.id, asked, newest),
    enabled: refusal === '',
    placeholderData: keepPreviousData,
  });
  const check = query.data;
  const confirm = asked === words ? asking(check) : [];
  const blocked = (words.trim() === '' && text.attachments.length === 0) || act.isPending || isRefused(check);
  return (
    <Box component="form" onSubmit={(event) => event.preventDefault()} sx={{ display: 'grid', gap: 0.75, mt: 0.5 }}>
      {changing ? (
        <TextField
          multiline
          maxRows={6}
          label={`Text by ${writer}, as it will be sent`}
          value={words}
          slotProps={{ htmlInput: { sx: { typography: 'words' } } }}
          inputRef={focusing}
          onChange={(event) => setWords(event.target.value)}
        />
      ) : (
        <Box sx={{ typography: 'words', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>{words}</Box>
      )}
      <With text={text} />
      {check && <Reasons label="Before it is sent" check={check} />}
      {why !== undefined && (
        <TextField
          label={`A word to ${first}`}
          value={why}
          inputRef={focusing}
          slotProps={{ htmlInput: { maxLength: 300 } }}
          helperText="It stands in the script for the team, and the words are a draft again."
          onChange={(event) => setWhy(event.target.value)}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        {why === undefined ? (
          <>
            <ActButton
              variant="contained"
              refusal={refusal}
              disabled={blocked}
              onClick={() => act.mutate({ kind: 'approve', words, seen: newest, confirmed: confirm })}
            >
              {`${sendWords(check?.parts, confirm.length > 0)} for ${first}`}
            </ActButton>
            <ActButton
              refusal={refusal}
              onClick={() => {
                setWords(text.words);
                setChanging(!changing);
              }}
            >
              {changing ? 'Undo changes' : 'Change'}
            </ActButton>
            <ActButton refusal={refusal} onClick={() => setWhy('')}>
              Return to {first}…
            </ActButton>
          </>
        ) : (
          <>
            <ActButton
              variant="contained"
              refusal={refusal}
              disabled={why.trim() === '' || act.isPending}
              onClick={() => act.mutate({ kind: 'return', why })}
            >
              Return to {first}
            </ActButton>
            <ActButton onClick={() => setWhy(undefined)}>Cancel</ActButton>
          </>
        )}
      </Box>
    </Box>
  );
}

import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Conversation } from '../../shared/api';
import { ActButton, ProblemNote, useRefusal } from '../../shared/ui';
import { useStopTexting, wrongNumberQuery } from './queries';

const WAYS: Record<string, string> = {
  MAIL: 'Stop texting it and ask them by mail',
  TEXT: 'Stop texting it and ask them on their other number',
};

interface Props {
  conversation: Conversation;
  name: string;
  /** Puts the words of a text that was held onto the paper. */
  onWriteAgain: (words: string, again: number) => void;
}

/** The number says that it is the wrong one: a person decides. And what was held for the right one, once that is known. */
export function WrongNumberBand({ conversation, name, onWriteAgain }: Props) {
  const { data } = useQuery(wrongNumberQuery(conversation));
  const stop = useStopTexting(conversation.id);
  const [notMeant, setNotMeant] = useState<number>();
  const refusal = useRefusal('WORK');
  if (!data) return null;
  const says = data.says !== undefined && data.says !== notMeant && data.askedBy === undefined;
  return (
    <>
      {says && (
        <Box role="note" sx={{ px: 2, py: 0.5, typography: 'body2', borderLeft: 3, borderColor: 'info.main' }}>
          This sounds as if the number is not {name}’s.{' '}
          <ActButton refusal={refusal} disabled={stop.isPending} onClick={() => stop.mutate()}>
            {WAYS[data.way ?? ''] ?? 'Stop texting it'}
          </ActButton>
          <Button onClick={() => setNotMeant(data.says)}>No, it is theirs</Button>
          {data.way === undefined && 'They have no e-mail and no other number, so nobody can be asked.'}
          {stop.error && <ProblemNote problem={stop.error} />}
        </Box>
      )}
      {data.held.length > 0 && (
        <Box role="note" sx={{ px: 2, py: 0.5, typography: 'body2', borderLeft: 3, borderColor: 'info.main' }}>
          Held for {name} while their number was wrong. Look at each before it goes:
          {data.held.map((text) => (
            <Box key={text.id}>
              <Box component="span" sx={{ typography: 'words' }}>
                {text.words}
              </Box>{' '}
              <ActButton refusal={refusal} sx={{ p: 0 }} onClick={() => onWriteAgain(text.words, text.id)}>
                Put it on the paper
              </ActButton>
            </Box>
          ))}
        </Box>
      )}
    </>
  );
}

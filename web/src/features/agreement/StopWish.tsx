import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Conversation } from '../../shared/api';
import { ActButton, ProblemNote, useRefusal } from '../../shared/ui';
import { agreementQuery, useNoteAgreement } from './queries';

/** The customer's last text sounds as if they want no more: a person decides. */
export function StopWish({ conversation }: { conversation: Conversation }) {
  const { data } = useQuery(agreementQuery(conversation));
  const note = useNoteAgreement(conversation.id);
  const [notMeant, setNotMeant] = useState<number>();
  const refusal = useRefusal('WORK');
  const entry = data?.asksToStop;
  if (entry === undefined || entry === notMeant) return null;
  return (
    <Box role="note" sx={{ mt: 0.5, pl: 1.5, borderLeft: 3, borderColor: 'info.main', typography: 'body2' }}>
      This sounds as if the customer wants no more texts. Opt them out?{' '}
      <ActButton
        refusal={refusal}
        disabled={note.isPending}
        onClick={() => note.mutate({ given: false, kinds: ['SERVICE', 'NEWS'], words: 'asked by text' })}
      >
        Opt them out
      </ActButton>
      <Button onClick={() => setNotMeant(entry)}>No, they mean something else</Button>
      {note.error && <ProblemNote problem={note.error} />}
    </Box>
  );
}

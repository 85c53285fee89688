import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type Conversation, type SaidOfNumber, staffQuery } from '../../shared/api';
import { ActButton, Moment, ProblemNote, useRefusal } from '../../shared/ui';
import { likelyQuery, useTakeBackIdentifying } from './queries';

const WORDS: Record<SaidOfNumber['kind'], string> = {
  CUSTOMER: 'said whose number this is',
  NEW_CUSTOMER: 'added the customer',
  ONE_OF_SEVERAL: 'said who of several writes',
  NOT_FOR_US: 'said it is not for us',
  ADDED: 'added the number to a customer',
  GIVEN_UP: 'said a customer no longer has it',
  JOINED: 'joined two customers',
  IMPORTED: 'imported customers',
  PROVED: 'saw by a code that the number is theirs',
};

/** What was said of who writes from this number; each can be taken back, however much later. */
export function SaidBefore({ conversation, zone }: { conversation: Conversation; zone: string }) {
  const { data } = useQuery(likelyQuery(conversation));
  const staff = useQuery(staffQuery).data ?? [];
  const back = useTakeBackIdentifying();
  const refusal = useRefusal('WORK');
  if (!data || data.acts.length === 0) return null;
  return (
    <Box component="section" aria-label="Who writes from this number" sx={{ mt: 2, typography: 'body2' }}>
      <Box component="h4" sx={{ m: 0, mb: 0.5, typography: 'heading' }}>
        Who writes from this number
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {data.acts.map((act) => (
          <li key={act.id}>
            <Moment at={act.doneAt} zone={zone} />: {staff.find(({ id }) => id === act.staffId)?.name ?? 'A colleague'}{' '}
            {WORDS[act.kind]}.{' '}
            {act.undoneAt === undefined ? (
              <ActButton refusal={refusal} disabled={back.isPending} onClick={() => back.mutate(act.id)} sx={{ p: 0 }}>
                Take back
              </ActButton>
            ) : (
              <>
                Taken back <Moment at={act.undoneAt} zone={zone} />.
              </>
            )}
          </li>
        ))}
      </Box>
      {back.error && <ProblemNote problem={back.error} />}
    </Box>
  );
}

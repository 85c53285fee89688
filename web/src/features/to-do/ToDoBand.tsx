import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type Conversation, staffQuery, toDosQuery } from '../../shared/api';
import { ActButton, Moment, ProblemNote, useRefusal } from '../../shared/ui';
import { useTick } from './queries';

interface Props {
  conversation: Conversation;
  me: number;
  zone: string;
}

/** What is to be done in a conversation: by whom, when, and ticked off here. */
export function ToDoBand({ conversation, me, zone }: Props) {
  const { id, version } = conversation;
  const toDos = useQuery(toDosQuery(id, version)).data ?? [];
  const staff = useQuery(staffQuery).data ?? [];
  const tick = useTick(id);
  const refusal = useRefusal('WORK');
  if (toDos.length === 0) return null;
  return (
    <Box component="section" aria-label="To do" sx={{ px: 2, py: 0.5, typography: 'body2' }}>
      {toDos.map((one) => {
        const due = one.broughtAt !== undefined;
        return (
          <Box key={one.note} sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', py: 0.25 }}>
            <Box sx={{ whiteSpace: 'nowrap', fontWeight: 700, color: due ? 'warning.main' : 'text.primary' }}>
              {due ? 'To do now' : 'To do'}
            </Box>
            <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
              <Box component="span" sx={{ typography: 'words' }}>
                {one.words}
              </Box>{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {one.staff === me ? 'you' : staff.find((who) => who.id === one.staff)?.name},{' '}
                <Moment at={one.dueAt} zone={zone} />
              </Box>
            </Box>
            <ActButton
              refusal={refusal}
              sx={{ p: 0, whiteSpace: 'nowrap' }}
              disabled={tick.isPending}
              aria-label={`Tick off: ${one.words}`}
              onClick={() => tick.mutate({ note: one.note, done: true })}
            >
              Tick off
            </ActButton>
          </Box>
        );
      })}
      {tick.error && <ProblemNote problem={tick.error} />}
    </Box>
  );
}

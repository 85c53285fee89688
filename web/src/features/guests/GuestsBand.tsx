import { Box, Button } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, type Dossier, readAllAgain } from '../../shared/api';
import { ProblemNote, StaffMark } from '../../shared/ui';
import { guestWords, partWords } from './model/guests';

/** Who was brought into this conversation; and, to who was brought in, what they may do here. */
export function GuestsBand({ dossier, me }: { dossier: Dossier; me: number }) {
  const queries = useQueryClient();
  const { conversation, guests, myPart } = dossier;
  const out = useMutation({
    mutationFn: (staff: number) =>
      ask('DELETE', '/api/conversations/{id}/guests/{staff}', { path: { id: conversation.id, staff } }),
    onSettled: () => readAllAgain(queries),
  });
  return (
    <Box
      component="section"
      aria-label="Colleagues brought in"
      sx={{ px: 2, py: 0.75, typography: 'body2', borderBottom: 1, borderColor: 'divider' }}
    >
      {myPart && (
        <Box sx={{ fontWeight: 600 }}>{partWords(myPart, guests.find(({ staff }) => staff.id === me)?.by)}</Box>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, display: 'flex', flexWrap: 'wrap', columnGap: 2.5 }}>
        {guests.map((guest) => (
          <Box component="li" key={guest.staff.id} sx={{ display: 'flex', alignItems: 'center', columnGap: 0.75 }}>
            <StaffMark mark={guest.staff.mark} />
            <span>
              {guest.staff.name}, {guestWords(guest)}
            </span>
            {(!myPart || guest.staff.id === me) && (
              <Button
                sx={{ p: 0, fontSize: 'inherit' }}
                disabled={out.isPending}
                onClick={() => out.mutate(guest.staff.id)}
              >
                {guest.staff.id === me ? 'Leave this conversation' : `Let ${guest.staff.name} out`}
              </Button>
            )}
          </Box>
        ))}
      </Box>
      {out.error && <ProblemNote problem={out.error} />}
    </Box>
  );
}

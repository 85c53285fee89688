import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { watchersQuery } from '../../shared/api';
import { StaffMark } from '../../shared/ui';

/** Who else is looking at it and who is writing in it, now. */
export function Watching({ id, me }: { id: number; me: number }) {
  const all = useQuery(watchersQuery).data ?? [];
  const others = (all.find((each) => each.conversationId === id)?.watchers ?? []).filter(
    ({ staff }) => staff.id !== me,
  );
  return (
    <Box
      role="status"
      aria-label="Who else is here"
      sx={{ typography: 'body2', display: 'inline-flex', columnGap: 1.5, flexWrap: 'wrap' }}
    >
      {others.map(({ staff, writing }) => (
        <Box
          key={staff.id}
          component="span"
          sx={{ whiteSpace: 'nowrap', fontWeight: writing ? 700 : 400, color: writing ? 'warning.main' : 'info.main' }}
        >
          <StaffMark mark={staff.mark} /> {staff.name.split(' ')[0]} {writing ? 'is writing…' : 'is reading'}
        </Box>
      ))}
    </Box>
  );
}

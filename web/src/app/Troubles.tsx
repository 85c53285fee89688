import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { linesQuery, type Session } from '../shared/api';
import { troublesQuery } from './queries';
import { Moment } from '../shared/ui';

/** What keeps the program from its work, on every page of a lead until it is over. */
export function Troubles({ session }: { session: Session }) {
  const troubles = useQuery(troublesQuery(session.may.includes('LEAD'))).data ?? [];
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  if (troubles.length === 0) return null;
  return (
    <Box
      role="alert"
      className="no-print"
      sx={{ borderBottom: 1, borderColor: 'error.main', bgcolor: 'background.paper', px: 2, py: 0.5 }}
    >
      {troubles.map((trouble) => (
        <Box key={trouble.kind} sx={{ typography: 'body2', display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Box component="span" aria-hidden sx={{ color: 'error.main', fontWeight: 700 }}>
            ×
          </Box>
          <span>
            {trouble.sentence}{' '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              Since <Moment at={trouble.since} zone={zone} />.
            </Box>
          </span>
        </Box>
      ))}
    </Box>
  );
}

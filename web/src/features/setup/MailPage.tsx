import { Box, Button } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, linesQuery } from '../../shared/api';
import { stuckMailQuery } from './queries';
import { Answered, Moment, ProblemNote } from '../../shared/ui';

/** Mail that has been tried in vain for a while. */
export function MailPage() {
  const queries = useQueryClient();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const mail = useQuery(stuckMailQuery);
  const again = useMutation({
    mutationFn: (id: number) => ask('POST', '/api/setup/mail/{id}/again', { path: { id } }),
    onSettled: () => queries.invalidateQueries({ queryKey: stuckMailQuery.queryKey }),
  });
  return (
    <Box sx={{ p: 2, maxWidth: 980 }}>
      <Box component="p" sx={{ mt: 0, color: 'text.secondary', maxWidth: '68ch' }}>
        Mail that could not be sent waits here and is tried again every hour until the mail server takes it.
      </Box>
      {again.error && <ProblemNote problem={again.error} />}
      <Answered query={mail}>
        {(all) =>
          all.length === 0 ? (
            <p>No mail is waiting. Everything was sent.</p>
          ) : (
            <Box component="ul" aria-label="Mail that waits" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {all.map((one) => (
                <Box component="li" key={one.id} sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
                  <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
                    <Box component="span" className="figures" sx={{ color: 'text.secondary' }}>
                      <Moment at={one.madeAt} zone={zone} />
                    </Box>
                    <Box component="span" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
                      <strong>{one.subject}</strong>, to {one.address}
                    </Box>
                    <Button variant="outlined" onClick={() => again.mutate(one.id)}>
                      Send again now
                    </Button>
                  </Box>
                  <Box sx={{ typography: 'body2', color: 'error.main', overflowWrap: 'anywhere' }}>
                    Tried {one.attempts} times, next <Moment at={one.nextAt} zone={zone} />: {one.problem}
                  </Box>
                </Box>
              ))}
            </Box>
          )
        }
      </Answered>
    </Box>
  );
}

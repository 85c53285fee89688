import { Box, Button } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, keys, linesQuery } from '../../shared/api';
import { keptAsideQuery } from './queries';
import { Answered, Moment, ProblemNote } from '../../shared/ui';

/** Texts the phone network told us of and that could not be taken in: as they came, with the reason. */
export function KeptAsidePage() {
  const queries = useQueryClient();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const kept = useQuery(keptAsideQuery);
  const act = useMutation({
    mutationFn: ({ id, take }: { id: number; take: boolean }) =>
      take
        ? ask('POST', '/api/setup/kept-aside/{id}/take', { path: { id } })
        : ask('DELETE', '/api/setup/kept-aside/{id}', { path: { id } }),
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: keptAsideQuery.queryKey });
      void queries.invalidateQueries({ queryKey: keys.troubles });
    },
  });
  return (
    <Box sx={{ p: 2, maxWidth: 980 }}>
      <Box component="p" sx={{ mt: 0, color: 'text.secondary', maxWidth: '68ch' }}>
        Texts from the phone network that could not be shown in the inbox are kept here as they came. Fix the cause, for
        example a line that is not set up, then add them to the inbox.
      </Box>
      {act.error && <ProblemNote problem={act.error} />}
      <Answered query={kept}>
        {(texts) =>
          texts.length === 0 ? (
            <p>Nothing is kept aside. Every text reached the inbox.</p>
          ) : (
            <Box component="ul" aria-label="Kept aside" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {texts.map((text) => (
                <Box component="li" key={text.id} sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
                  <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
                    <Box component="span" className="figures" sx={{ color: 'text.secondary' }}>
                      <Moment at={text.at} zone={zone} />
                    </Box>
                    <Box component="span" sx={{ color: 'error.main', flex: 1 }}>
                      {text.why}
                    </Box>
                    <Button variant="outlined" onClick={() => act.mutate({ id: text.id, take: true })}>
                      Add to the inbox
                    </Button>
                    <Button onClick={() => act.mutate({ id: text.id, take: false })}>Remove</Button>
                  </Box>
                  <Box component="code" sx={{ overflowWrap: 'anywhere', typography: 'caption' }}>
                    {text.beginning}
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

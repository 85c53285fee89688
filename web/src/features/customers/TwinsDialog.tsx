import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { ask } from '../../shared/api';
import { ActButton, Answered, ProblemNote, useRefusal } from '../../shared/ui';
import { allTwinsQuery, useCustomerChange } from './queries';

/** All pairs of customers who may be one, each joined by one press; a join can be taken back. */
export function TwinsDialog({ onClose }: { onClose: () => void }) {
  const pairs = useQuery(allTwinsQuery);
  const refusal = useRefusal('WORK');
  const change = useCustomerChange();
  return (
    <Dialog open onClose={onClose} aria-labelledby="twins-title" fullWidth maxWidth="sm">
      <DialogTitle id="twins-title">Perhaps on file twice</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 0.5, typography: 'body2' }}>
        <Answered query={pairs}>
          {(rows) =>
            rows.length === 0 ? (
              <Box sx={{ color: 'text.secondary' }}>
                Nobody. Customers with nearly the same name who share a number, an e-mail or a detail appear here.
              </Box>
            ) : (
              rows.map(({ id, name, other }) => (
                <Box
                  key={`${id} ${other.id}`}
                  role="group"
                  aria-label={`${name} and ${other.name}`}
                  sx={{ borderBottom: 1, borderColor: 'divider', py: 0.5 }}
                >
                  <Button component={Link} to={`/customers/${id}`} onClick={onClose} sx={{ p: 0 }}>
                    {name}
                  </Button>{' '}
                  and{' '}
                  <Button component={Link} to={`/customers/${other.id}`} onClick={onClose} sx={{ p: 0 }}>
                    {other.name}
                  </Button>
                  <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, alignItems: 'baseline' }}>
                    <Box sx={{ color: 'text.secondary', flex: 1 }}>{other.reasons.join(', ').toLowerCase()}</Box>
                    <ActButton
                      refusal={refusal}
                      sx={{ p: 0 }}
                      disabled={change.isPending}
                      onClick={() =>
                        change.mutate({
                          go: () => ask('POST', '/api/customers/{id}/join', { path: { id }, body: { gone: other.id } }),
                          undo: `${other.name} joined with ${name}`,
                        })
                      }
                    >
                      Join into {name}
                    </ActButton>
                  </Box>
                </Box>
              ))
            )
          }
        </Answered>
        {change.error && <ProblemNote problem={change.error} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

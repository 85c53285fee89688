import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { ask, type CustomerFile } from '../../shared/api';
import { ActButton, ProblemNote, useRefusal } from '../../shared/ui';
import { twinsQuery, useCustomerChange } from './queries';

/** Who may be the same customer, with why, and joining them. */
export function Twins({ file }: { file: CustomerFile }) {
  const twins = useQuery({ ...twinsQuery(file.id), enabled: file.joinedInto === undefined }).data ?? [];
  const refusal = useRefusal('WORK');
  const change = useCustomerChange();
  if (twins.length === 0) return null;
  return (
    <Box
      role="note"
      aria-label="Perhaps on file twice"
      sx={{ mt: 1, pl: 1.5, borderLeft: 3, borderColor: 'info.main', typography: 'body2' }}
    >
      <strong>Perhaps on file twice:</strong>
      {twins.map((twin) => (
        <Box key={twin.id} sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'baseline' }}>
          <Button component={Link} to={`/customers/${twin.id}`} sx={{ p: 0 }}>
            {twin.name}
          </Button>
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {twin.reasons.join(', ').toLowerCase()}
          </Box>
          <ActButton
            refusal={refusal}
            sx={{ p: 0 }}
            disabled={change.isPending}
            aria-label={`Join ${twin.name} with ${file.name}`}
            onClick={() =>
              change.mutate({
                go: () => ask('POST', '/api/customers/{id}/join', { path: { id: file.id }, body: { gone: twin.id } }),
                undo: `${twin.name} joined with ${file.name}`,
              })
            }
          >
            Join into {file.name}
          </ActButton>
        </Box>
      ))}
      {change.error && <ProblemNote problem={change.error} />}
    </Box>
  );
}

import { Box, Checkbox, FormControlLabel } from '@mui/material';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, keys } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';
import { Part } from './Part';

const settingQuery = queryOptions({
  queryKey: [...keys.setup, 'wrong-numbers'] as const,
  queryFn: () => ask('GET', '/api/setup/wrong-numbers'),
});

/** Whether Fabulum acts by itself when a number says that it is the wrong one; saved at once. */
export function WrongNumbersPart() {
  const queries = useQueryClient();
  const setting = useQuery(settingQuery).data;
  const set = useMutation({
    mutationFn: (byItself: boolean) => ask('PUT', '/api/setup/wrong-numbers', { body: { byItself } }),
    onSettled: () => queries.invalidateQueries({ queryKey: settingQuery.queryKey }),
  });
  return (
    <Box sx={{ p: 2, maxWidth: 860 }}>
      <Part title="Wrong numbers">
        <Box sx={{ typography: 'body2' }}>
          When someone answers that we have the wrong number, Fabulum proposes to stop texting it and to ask the
          customer for the right one, by mail or on another number. The customer texts a code from the right phone.
        </Box>
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={setting?.byItself ?? false}
              disabled={!setting || set.isPending}
              onChange={(_, checked) => set.mutate(checked)}
            />
          }
          label="Do this without asking us first"
        />
        {set.error && <ProblemNote problem={set.error} />}
      </Part>
    </Box>
  );
}

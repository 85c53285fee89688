import { Box, FormControlLabel, MenuItem, Switch, TextField } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, keys, type Session } from '../../shared/api';
import { ProblemNote } from '../../shared/ui';

const PAUSES = [0, 3, 5, 10, 20];

/** How my texts are sent: after which pause, and whether I look at each of them first. */
export function SendingChoices({ page }: { page: Session['page'] }) {
  const queries = useQueryClient();
  const { pauseSeconds, looksFirst, enterSends } = page;
  const now = { pauseSeconds, looksFirst, enterSends };
  const set = useMutation({
    mutationFn: (next: typeof now) => ask('PUT', '/api/me/sending', { body: next }),
    onMutate: (next) =>
      queries.setQueryData<Session | null>(keys.session, (had) =>
        had ? { ...had, page: { ...had.page, ...next } } : had,
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.session }),
  });
  const pauses = [...new Set([...PAUSES, pauseSeconds])].sort((a, b) => a - b);
  return (
    <Box role="group" aria-label="Sending" sx={{ display: 'grid', gap: 1 }}>
      <TextField
        select
        label="Pause before a text leaves, to take it back"
        value={pauseSeconds}
        onChange={(event) => set.mutate({ ...now, pauseSeconds: Number(event.target.value) })}
      >
        {pauses.map((seconds) => (
          <MenuItem key={seconds} value={seconds}>
            {seconds === 0 ? 'none' : `${seconds} seconds`}
          </MenuItem>
        ))}
      </TextField>
      <FormControlLabel
        control={<Switch checked={looksFirst} onChange={(_, on) => set.mutate({ ...now, looksFirst: on })} />}
        label="Look at each text before it is sent"
      />
      <FormControlLabel
        control={<Switch checked={enterSends} onChange={(_, on) => set.mutate({ ...now, enterSends: on })} />}
        label="Enter sends; Shift+Enter makes a new line"
      />
      {set.error && <ProblemNote problem={set.error} />}
    </Box>
  );
}

import { Box, Button, FormControlLabel, Switch, TextField } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, keys, type Session } from '../../shared/api';
import { MarkPicker, ProblemNote, whyOf } from '../../shared/ui';

/** How I am called and marked beside what I write. */
export function Profile({ session }: { session: Session }) {
  const queries = useQueryClient();
  const { staff } = session;
  const [profile, setProfile] = useState({ name: staff.name, initials: staff.initials, mark: staff.mark });
  const save = useMutation({
    mutationFn: () => ask('PUT', '/api/me/profile', profile),
    onSuccess: () => queries.invalidateQueries(),
  });
  const stay = useMutation({
    mutationFn: (on: boolean) => ask('PUT', '/api/me/stay', { on }),
    onMutate: (on) =>
      queries.setQueryData<Session | null>(keys.session, (had) =>
        had ? { ...had, page: { ...had.page, stays: on } } : had,
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.session }),
  });
  return (
    <Box
      component="form"
      aria-label="Profile"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
      sx={{ display: 'grid', gap: 2, maxWidth: 420 }}
    >
      <TextField
        label="Name"
        value={profile.name}
        {...whyOf(save.error, 'name')}
        onChange={(event) => setProfile({ ...profile, name: event.target.value })}
      />
      <TextField
        label="Initials"
        value={profile.initials}
        {...whyOf(save.error, 'initials')}
        onChange={(event) => setProfile({ ...profile, initials: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 3 } }}
      />
      <Box>
        <Box sx={{ typography: 'caption', color: 'text.secondary', mb: 0.5 }}>My mark</Box>
        <MarkPicker mark={profile.mark} onChange={(mark) => setProfile({ ...profile, mark })} />
      </Box>
      {save.error && <ProblemNote problem={save.error} />}
      <FormControlLabel
        control={<Switch checked={!session.page.stays} onChange={(_, on) => stay.mutate(!on)} />}
        label="After done, set aside or hand over, open the next conversation"
      />
      {stay.error && <ProblemNote problem={stay.error} />}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Button type="submit" variant="contained" disabled={save.isPending}>
          Save
        </Button>
        {save.isSuccess && <Box role="status">Saved. Colleagues see it now.</Box>}
      </Box>
    </Box>
  );
}

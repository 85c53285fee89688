import { Box, FormControlLabel, Switch, TextField } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, keys, type Session } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { MarkPicker, ProblemNote } from '../../shared/ui';
import { SendingChoices } from './SendingChoices';

/** How I am called and marked beside what I write. */
export function Profile({ session }: { session: Session }) {
  const queries = useQueryClient();
  const { staff } = session;
  const form = useForm({
    first: { name: staff.name, initials: staff.initials, mark: staff.mark },
    names: { name: 'your name', initials: 'your initials', mark: 'your mark' },
    send: (body) => ask('PUT', '/api/me/profile', { body }),
  });
  const stay = useMutation({
    mutationFn: (on: boolean) => ask('PUT', '/api/me/stay', { body: { on } }),
    onMutate: (on) =>
      queries.setQueryData<Session | null>(keys.session, (had) =>
        had ? { ...had, page: { ...had.page, stays: on } } : had,
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.session }),
  });
  return (
    <Form form={form} label="Profile" sx={{ display: 'grid', gap: 2, maxWidth: 420 }}>
      <TextField
        label="Name"
        value={form.value.name}
        {...form.field('name')}
        onChange={(event) => form.change({ name: event.target.value })}
      />
      <TextField
        label="Initials"
        value={form.value.initials}
        {...form.field('initials')}
        onChange={(event) => form.change({ initials: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 3 } }}
      />
      <Box>
        <Box sx={{ typography: 'caption', color: 'text.secondary', mb: 0.5 }}>My mark</Box>
        <MarkPicker mark={form.value.mark} onChange={(mark) => form.change({ mark })} />
      </Box>
      <FormControlLabel
        control={<Switch checked={!session.page.stays} onChange={(_, on) => stay.mutate(!on)} />}
        label="After done, set aside or hand over, open the next conversation"
      />
      <SendingChoices page={session.page} />
      {stay.error && <ProblemNote problem={stay.error} />}
      <SaveBar form={form} save="Save" saved={() => 'Saved. Colleagues see it now.'} />
    </Form>
  );
}

import { Box, Button, Typography } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiProblem, ask, beginSession, type Staff } from '../../shared/api';
import { Field, MarkPicker, ProblemNote, whyOf } from '../../shared/ui';
import { FrontPage } from './FrontPage';

/** Where the link of an invitation leads: one chooses name, mark and password, and is in. */
export function Invitation({ secret, onIn }: { secret: string; onIn: () => void }) {
  const whom = useQuery({
    queryKey: ['invitation', secret],
    queryFn: () => ask('GET', '/api/invitations/{secret}', { path: { secret } }),
    retry: false,
  });
  if (whom.error) {
    const gone = whom.error instanceof ApiProblem && whom.error.status === 404;
    return (
      <FrontPage>
        <Typography role="alert">
          {gone
            ? 'This invitation is not valid. Check that the link is complete, or ask a lead for a new one.'
            : whom.error.message}
        </Typography>
        <Button href="/" sx={{ mt: 2, px: 0 }}>
          Go to sign-in
        </Button>
      </FrontPage>
    );
  }
  return <FrontPage>{whom.data && <Form secret={secret} staff={whom.data} onIn={onIn} />}</FrontPage>;
}

function Form({ secret, staff, onIn }: { secret: string; staff: Staff; onIn: () => void }) {
  const queries = useQueryClient();
  const [profile, setProfile] = useState({ name: staff.name, initials: staff.initials, mark: staff.mark });
  const [password, setPassword] = useState('');
  const come = useMutation({
    mutationFn: () => ask('POST', '/api/invitations/{secret}', { path: { secret }, body: { ...profile, password } }),
    onSuccess: (session) => {
      beginSession(queries, session);
      onIn();
    },
  });
  const passwordWhy = whyOf(come.error, 'password');
  const told = come.error instanceof ApiProblem && come.error.fields.length > 0;
  return (
    <>
      <Typography component="p" sx={{ typography: 'aside', color: 'text.secondary' }}>
        Welcome, {staff.name.split(' ')[0]}.
      </Typography>
      <Box
        component="form"
        aria-label="Join"
        onSubmit={(event) => {
          event.preventDefault();
          if (!come.isPending) come.mutate();
        }}
        sx={{ display: 'grid', gap: 2, mt: 2 }}
      >
        <Field
          label="Name"
          value={profile.name}
          {...whyOf(come.error, 'name')}
          onChange={(event) => setProfile({ ...profile, name: event.target.value })}
        />
        <Field
          label="Initials"
          value={profile.initials}
          {...whyOf(come.error, 'initials')}
          onChange={(event) => setProfile({ ...profile, initials: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 3 } }}
        />
        <MarkPicker mark={profile.mark} onChange={(mark) => setProfile({ ...profile, mark })} />
        <Field
          label="Choose a password"
          type="password"
          autoComplete="new-password"
          value={password}
          {...passwordWhy}
          helperText={passwordWhy.helperText ?? 'At least 10 characters. A few words in a row work well.'}
          onChange={(event) => setPassword(event.target.value)}
        />
        {come.error && !told && <ProblemNote problem={come.error} />}
        <Button type="submit" variant="contained" size="large" disabled={come.isPending || password === ''}>
          Join
        </Button>
      </Box>
    </>
  );
}

import { Box, Button, TextField } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Invited, keys, type PersonSetup, teamsQuery } from '../../shared/api';
import { ProblemNote, whyOf } from '../../shared/ui';
import { bookSerif } from '../../theme';
import { usual } from './model/people';
import { PersonFields } from './PersonFields';

/** Asks somebody in: a link goes to them by mail, works once, and ends after three days. */
export function InviteForm({ onDone }: { onDone: (id: number, link: string | undefined) => void }) {
  const queries = useQueryClient();
  const team = useQuery(teamsQuery).data?.[0];
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [setup, setSetup] = useState<PersonSetup>({
    role: 'STAFF',
    permissions: usual('STAFF'),
    teams: team ? [team.id] : [],
  });
  const invite = useMutation({
    mutationFn: () => ask<Invited>('POST', '/api/setup/people', { name, email, setup }),
    onSuccess: async ({ id, link }) => {
      await queries.invalidateQueries({ queryKey: keys.setup });
      onDone(id, link);
    },
  });
  return (
    <Box
      component="form"
      aria-label="Invite a colleague"
      onSubmit={(event) => {
        event.preventDefault();
        invite.mutate();
      }}
      sx={{ display: 'grid', gap: 2, p: 2, maxWidth: 640, alignContent: 'start' }}
    >
      <Box component="h2" sx={{ m: 0, fontFamily: bookSerif, fontSize: '1.25rem', fontWeight: 600 }}>
        Invite a colleague
      </Box>
      <TextField
        label="Name"
        value={name}
        // Whoever asked for the form wants to write the name.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        {...whyOf(invite.error, 'name')}
        onChange={(event) => setName(event.target.value)}
      />
      <TextField
        label="E-mail address, used to sign in"
        type="email"
        value={email}
        {...whyOf(invite.error, 'email')}
        onChange={(event) => setEmail(event.target.value)}
      />
      <PersonFields setup={setup} problem={invite.error} onChange={(change) => setSetup({ ...setup, ...change })} />
      {invite.error && <ProblemNote problem={invite.error} />}
      <Box sx={{ color: 'text.secondary' }}>
        They get a link by mail to choose their name, mark and password. It works once, and for three days.
      </Box>
      <Box>
        <Button type="submit" variant="contained" disabled={invite.isPending}>
          Send the invitation
        </Button>
      </Box>
    </Box>
  );
}

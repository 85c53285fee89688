import { Box, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, type PersonSetup, type Team, teamsQuery } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { usual } from './model/people';
import { PersonFields } from './PersonFields';

/** What shows its own problems. */
const FIELDS = {
  name: 'the name',
  email: 'the address',
  setup: 'the rights',
  role: 'the role',
  permissions: 'the permissions',
  teams: 'the teams',
  limit: 'the limit',
};

/** Most are invited as staff of a team. */
function staffOf(team: Team | undefined): PersonSetup {
  return { role: 'STAFF', permissions: usual('STAFF'), teams: team ? [team.id] : [], secondLook: false };
}

/** Invites a colleague: a link goes to them by mail, works once, and ends after three days. */
export function InviteForm({ onDone }: { onDone: (id: number, link: string | undefined) => void }) {
  const team = useQuery(teamsQuery).data?.[0];
  const form = useForm({
    first: { name: '', email: '', setup: staffOf(team) },
    names: FIELDS,
    send: (body) => ask('POST', '/api/setup/people', { body }),
    onSaved: ({ id, link }) => onDone(id, link),
  });
  const { name, email, setup } = form.value;
  return (
    <Form
      form={form}
      label="Invite a colleague"
      sx={{ display: 'grid', gap: 2, p: 2, maxWidth: 640, alignContent: 'start' }}
    >
      <Box component="h2" sx={{ m: 0, typography: 'title' }}>
        Invite a colleague
      </Box>
      <TextField
        label="Name"
        value={name}
        // The person who asked for the form wants to write the name.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        {...form.field('name')}
        onChange={(event) => form.change({ name: event.target.value })}
      />
      <TextField
        label="E-mail address, used to sign in"
        type="email"
        value={email}
        {...form.field('email')}
        onChange={(event) => form.change({ email: event.target.value })}
      />
      <PersonFields
        setup={setup}
        problem={form.problem}
        onChange={(change) => form.change({ setup: { ...setup, ...change } })}
      />
      <Box sx={{ color: 'text.secondary' }}>
        They get a link by mail to choose their name, mark and password. It works once, and for three days.
      </Box>
      <SaveBar form={form} save="Send the invitation" ready />
    </Form>
  );
}
